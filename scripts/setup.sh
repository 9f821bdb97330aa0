# Shared by run, test and budclock: what has to be there first.
APP=artifacts/app/BudClock.Web
export DOTNET_NOLOGO=1 DOTNET_CLI_TELEMETRY_OPTOUT=1

need_dotnet() {
  if ! command -v dotnet >/dev/null || ! dotnet --list-sdks | grep -q '^10\.'; then
    echo "Bud Clock needs the .NET 10 SDK; 'dotnet --list-sdks' should show a line that begins with 10." >&2
    exit 1
  fi
}

# Where the program looks for the runtime, wherever the SDK was put.
find_runtime() {
  command -v dotnet >/dev/null || need_dotnet
  [ -n "${DOTNET_ROOT:-}" ] || DOTNET_ROOT=$(dirname "$(readlink -f "$(command -v dotnet)")")
  export DOTNET_ROOT
}

# Nothing that the program is made of is younger than the program.
is_built() {
  [ -x "$APP" ] && [ -f artifacts/built ] && [ -z "$(find src docs Directory.* global.json -newer artifacts/built -name '[!.]*' \
    ! -path '*/bin*' ! -path '*/obj*' ! -path 'docs/screenshots*' -print -quit)" ]
}

build_app() {
  is_built && return
  if [ -x "$APP" ]; then
    echo "Building what has changed: half a minute or so ..."
  else
    echo "Building Bud Clock for the first time: packages are fetched and the program is compiled, which takes two minutes or so ..."
  fi
  local log
  log=$(mktemp)
  mkdir -p artifacts
  touch artifacts/building
  if ! dotnet publish src/BudClock.Web -c Release -v quiet -o artifacts/app >"$log" 2>&1; then
    cat "$log" >&2
    exit 1
  fi
  find_runtime
  "$APP" plant >>"$log" 2>&1 || cat "$log" >&2 # without it the first start takes longer, and nothing else
  mv artifacts/building artifacts/built
  rm -f "$log"
}

# Installs Debian packages that are missing, or says which ones to install.
need_packages() {
  local missing=()
  while [ $# -gt 0 ]; do
    command -v "$1" >/dev/null || missing+=("$2")
    shift 2
  done
  [ ${#missing[@]} -eq 0 ] && return
  local sudo=""
  [ "$(id -u)" -eq 0 ] || sudo="sudo"
  echo "Installing ${missing[*]} ..."
  if ! { command -v apt-get && $sudo apt-get update -qq && $sudo env DEBIAN_FRONTEND=noninteractive apt-get install -y -qq "${missing[@]}"; } >/dev/null; then
    echo "Please install these packages and try again: ${missing[*]}" >&2
    exit 1
  fi
}

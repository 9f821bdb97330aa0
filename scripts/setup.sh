# Shared by run, test and budclock: what has to be there first.
APP=src/BudClock.Web/bin/Release/net10.0/BudClock.Web.dll
export DOTNET_NOLOGO=1 DOTNET_CLI_TELEMETRY_OPTOUT=1

need_dotnet() {
  if ! command -v dotnet >/dev/null || ! dotnet --list-sdks | grep -q '^10\.'; then
    echo "Bud Clock needs the .NET 10 SDK; 'dotnet --list-sdks' should show a line that begins with 10." >&2
    exit 1
  fi
}

build_app() {
  echo "Building Bud Clock ..."
  local log
  log=$(mktemp)
  if ! dotnet build src/BudClock.Web -c Release -v quiet >"$log" 2>&1; then
    cat "$log" >&2
    exit 1
  fi
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

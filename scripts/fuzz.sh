#!/bin/sh
# Random input at every door, for as long as one likes: scripts/fuzz.sh [SECONDS=60] [SEED]. A short run of it is in ./test.
set -e
cd "$(dirname "$0")/.."
export BUDCLOCK_FUZZ_SECONDS="${1:-60}"
export BUDCLOCK_FUZZ_SEED="${2:-$$}"
exec dotnet test --project tests/BudClock.Web.Tests -c Release -- --filter-class "*FuzzTests*"

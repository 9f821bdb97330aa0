#!/bin/sh
# How many small faults, put into the evidence, the guards and the judgement one at a time, the tests of Core find.
# Takes some hours on two cores; it is no part of ./test. The report is opened from StrykerOutput.
set -e
cd "$(dirname "$0")/../tests/BudClock.Core.Tests"
dotnet tool restore > /dev/null
# The tests then write no file, and sample fewer journals.
export BUDCLOCK_MUTATION=1
exec dotnet stryker --test-runner mtp --configuration Release --concurrency 2 --project BudClock.Core.csproj \
  --mutate "Evidence/**/*.cs" --mutate "Advising/Guarding/**/*.cs" --mutate "Advising/Guards.cs" --mutate "Advising/Judgement.cs" \
  --reporter json --reporter cleartext "$@"

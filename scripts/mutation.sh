#!/bin/sh
# How many small faults, put into the evidence, the guards and the judgement one at a time, the tests of Core find.
# Takes about an hour on two cores; it is no part of ./test. The report is opened from StrykerOutput.
set -e
cd "$(dirname "$0")/../tests/BudClock.Core.Tests"
dotnet tool restore > /dev/null
# The tests then write no file, sample fewer journals, and leave out what asks nothing of the judgement.
export BUDCLOCK_MUTATION=1
exec dotnet stryker "$@"

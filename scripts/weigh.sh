#!/bin/sh
# What a browser fetches on a first and on later visits, and how far the Round shifts while it comes.
set -e
cd "$(dirname "$0")/.."
exec dotnet test --project tests/BudClock.Web.Tests -c Release --output Detailed --show-live-output on -- --filter-class "*WeightTests*"

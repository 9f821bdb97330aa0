#!/bin/sh
# What the application is made of besides its own code, as a CycloneDX bill of materials: scripts/bill-of-materials.sh [FOLDER=artifacts]
set -e
cd "$(dirname "$0")/.."
dotnet tool restore >/dev/null
exec dotnet dotnet-CycloneDX BudClock.slnx --exclude-test-projects --output "${1:-artifacts}" --filename bill-of-materials.json --output-format Json

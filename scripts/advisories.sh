#!/usr/bin/env bash
# Says which packages have known advisories, where the registries tell. A command of its own: what is found overnight must not turn a build red.
set -uo pipefail
cd "$(dirname "${BASH_SOURCE[0]}")/.."
echo "== NuGet =="
timeout 120 dotnet list BoldLadder.slnx package --vulnerable --include-transitive 2>&1 | grep -vE "no vulnerable packages given the current sources|^$|following sources were used|https?://" || echo "No advisory is known for the packages."
echo "== npm =="
timeout 60 npm audit --omit=dev 2>&1 | grep -vE "https?://|^npm warn" | head -n 40 || true

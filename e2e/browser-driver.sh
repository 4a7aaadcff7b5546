#!/usr/bin/env bash
# Puts the driver where Playwright for Java looks for it: a folder with node and the playwright-core package.
set -euo pipefail
cd "$(dirname "$0")"
export PLAYWRIGHT_SKIP_BROWSER_DOWNLOAD=1
cmp -s package-lock.json node_modules/.installed-lock || {
  npm ci --no-audit --no-fund
  cp package-lock.json node_modules/.installed-lock
}
mkdir -p target/driver
ln -sfn "$(command -v node)" target/driver/node
ln -sfn "$PWD/node_modules/playwright-core" target/driver/package

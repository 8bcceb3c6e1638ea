# Sourced by demo and test: makes sure of Node.js and of the npm packages of the lock file.
# Nothing is installed that is there already.

cd "$(dirname "${BASH_SOURCE[0]}")/.."
export EXPO_OFFLINE=1 EXPO_NO_TELEMETRY=1 EXPO_NO_DOTENV=1

say() { printf '%s\n' "$*"; }
fail() { printf 'pause: %s\n' "$*" >&2; exit 1; }

command -v node >/dev/null || fail "Node.js is missing; install Node.js 20.19 or newer and try again."
command -v npm >/dev/null || fail "npm is missing; install it beside Node.js and try again."
node -e 'const [a, b] = process.versions.node.split(".").map(Number); process.exit(a > 20 || (a === 20 && b >= 19) ? 0 : 1)' \
  || fail "Node.js $(node --version) is too old; install 20.19 or newer and try again."

lock_now=$(node -p 'require("node:crypto").createHash("sha256").update(require("node:fs").readFileSync("package-lock.json")).digest("hex")')
lock_done=$(cat node_modules/.pause-lock 2>/dev/null || true)
if [ "$lock_now" != "$lock_done" ]; then
  say "· npm packages: installing what the lock file names (about a minute) …"
  log=$(mktemp)
  if ! npm ci --no-audit --no-fund >"$log" 2>&1; then
    tail -5 "$log" >&2
    fail "npm could not install the packages; check that the npm registry can be reached and try again."
  fi
  rm -f "$log"
  printf '%s' "$lock_now" > node_modules/.pause-lock
fi

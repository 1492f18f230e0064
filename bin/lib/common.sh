# Shared by the commands in bin/: words to the person, the place of an instance, and ports.
# An instance is one running set of database, web server and worker; `start` and `test` are two of them.

project=$(cd "$(dirname "${BASH_SOURCE[0]}")/../.." && pwd -P)

say() { printf '  %s\n' "$*"; }
fail() { printf 'chartula: %s\n' "$*" >&2; exit 1; }
am_root() { [ "$(id -u)" -eq 0 ]; }
as_root() {
  if am_root; then "$@"
  elif command -v sudo >/dev/null; then sudo "$@"
  else fail "this step needs root: run it as root, or as a person who may use sudo ($*)"; fi
}

# The place of this checkout's instances: short, traversable by the servers' users, and never the checkout itself
# (docs/decisions/0003-where-it-runs.md).
project_key=$(printf '%s' "$project" | sha256sum | cut -c1-12)
if am_root || command -v sudo >/dev/null || [ -w "/var/lib/chartula/$project_key" ]; then
  home_of_instances=/var/lib/chartula/$project_key
else
  home_of_instances=${XDG_STATE_HOME:-$HOME/.local/state}/chartula/$project_key
fi

# Sets the names that belong to instance $1.
use_instance() {
  instance=$1
  place=$home_of_instances/$instance
  cluster=$place/cluster
  run=$place/run
  logs=$place/log
  secrets=$place/secret
  code=$place/code
  if am_root; then db_user=postgres; web_user=www-data; else db_user=$(id -un); web_user=$(id -un); fi
}

# Runs a command as the unprivileged user $1 (as oneself when not root).
as_user() {
  local user=$1; shift
  if am_root; then
    setpriv --reuid="$user" --regid="$(id -gn "$user")" --init-groups --inh-caps=-all -- "$@"
  else
    "$@"
  fi
}

port_is_free() { ! (exec 3<>"/dev/tcp/127.0.0.1/$1") 2>/dev/null; }
free_port() {
  local port
  for _ in $(seq 200); do
    port=$((20000 + (RANDOM * 32768 + RANDOM) % 12000))
    if port_is_free "$port"; then echo "$port"; return; fi
  done
  fail "no free port was found between 20000 and 32000"
}

# A process that has ended but was not collected by its parent yet counts as ended.
is_running() { kill -0 "$1" 2>/dev/null && [ "$(sed 's/.*) //' "/proc/$1/stat" 2>/dev/null | cut -c1)" != Z ]; }
alive() { [ -s "$1" ] && is_running "$(head -n1 "$1")"; }

# Stops the process whose id is in file $1 with signal $2 and waits up to ten seconds for its end.
stop_pid() {
  local file=$1 signal=$2 pid
  alive "$file" || { rm -f "$file"; return 0; }
  pid=$(head -n1 "$file")
  kill -s "$signal" "$pid" 2>/dev/null
  for _ in $(seq 200); do is_running "$pid" || break; sleep 0.05; done
  is_running "$pid" && kill -s KILL "$pid" 2>/dev/null
  rm -f "$file"
  return 0
}

children_of() {
  local folder
  for folder in /proc/[0-9]*; do
    [ "$(sed 's/.*) . //' "$folder/stat" 2>/dev/null | cut -d' ' -f1)" = "$1" ] && basename "$folder"
  done
}

random_secret() { head -c 24 /dev/urandom | base64 | tr '+/' '-_' | tr -d '=\n'; }

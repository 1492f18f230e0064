# One instance: its own PostgreSQL cluster, web server and worker under $place. See common.sh for the names.

postgres_programs() { ls -d /usr/lib/postgresql/*/bin 2>/dev/null | sort -V | tail -n1; }

prepare_place() {
  if [ ! -d "$home_of_instances" ]; then
    if am_root; then mkdir -p "$home_of_instances"
    elif [ "${home_of_instances#/var/lib/}" != "$home_of_instances" ]; then
      as_root install -d -m 0755 -o "$(id -un)" "$home_of_instances"
    else mkdir -p "$home_of_instances"; fi
  fi
  local free; free=$(df -Pk "$home_of_instances" | awk 'NR==2 {print $4}')
  [ "$free" -gt 400000 ] || fail "the disk that holds $home_of_instances is full: 400 MB are needed, $((free / 1024)) MB are free"
  mkdir -p "$place" "$run" "$logs" "$secrets" "$code" || fail "$place cannot be written"
  chmod 0755 "$home_of_instances" "$place" "$run" "$code"
  chmod 0700 "$secrets"
  if am_root; then chown "$db_user" "$run"; chmod 1777 "$run"; chown "$web_user" "$logs"; fi
  local name
  for name in database-password admin-password app-key; do
    [ -s "$secrets/$name" ] && continue
    (umask 077; if [ "$name" = app-key ]; then echo "base64:$(head -c 32 /dev/urandom | base64)"; else random_secret; fi >"$secrets/$name")
  done
}

db_port() { cat "$place/database-port"; }
admin_sql() { PGPASSWORD=$(cat "$secrets/admin-password") psql -qAtX -v ON_ERROR_STOP=1 -h 127.0.0.1 -p "$(db_port)" -U chartula_admin "$@"; }

create_cluster() {
  [ -f "$cluster/PG_VERSION" ] && return 0
  say "making a private database cluster"
  rm -rf "$cluster"; mkdir -p "$cluster"; chmod 0700 "$cluster"
  am_root && chown "$db_user" "$cluster"
  local password_file; password_file=$(mktemp); cat "$secrets/admin-password" >"$password_file"
  am_root && chown "$db_user" "$password_file"
  as_user "$db_user" "$(postgres_programs)/initdb" -D "$cluster" -A scram-sha-256 -U chartula_admin --pwfile="$password_file" \
    -E UTF8 --locale=C.UTF-8 >"$logs/initdb.log" 2>&1 || { rm -f "$password_file"; tail -n 3 "$logs/initdb.log" >&2; fail "the database cluster could not be made"; }
  rm -f "$password_file"
  free_port >"$place/database-port"
}

database_up() {
  [ -n "$(postgres_programs)" ] || fail "PostgreSQL's server is not installed"
  create_cluster
  database_is_up && return 0
  port_is_free "$(db_port)" || free_port >"$place/database-port"
  local durable=on
  case $instance in test*) [ -n "${CHARTULA_DURABLE:-}" ] || durable=off ;; esac
  touch "$logs/database.log"; am_root && chown "$db_user" "$logs/database.log"
  as_user "$db_user" "$(postgres_programs)/pg_ctl" -D "$cluster" -w -t 30 -s -l "$logs/database.log" start \
    -o "-p $(db_port) -c listen_addresses=127.0.0.1 -c unix_socket_directories='$run' -c fsync=$durable -c max_connections=60" 2>>"$logs/pg_ctl.log" ||
    { tail -n 3 "$logs/database.log" >&2; fail "the database did not start; its log is $logs/database.log"; }
}
database_is_up() { [ -s "$cluster/postmaster.pid" ] && kill -0 "$(head -n1 "$cluster/postmaster.pid")" 2>/dev/null && ! port_is_free "$(db_port)"; }
database_down() {
  [ -s "$cluster/postmaster.pid" ] || return 0
  as_user "$db_user" "$(postgres_programs)/pg_ctl" -D "$cluster" -w -t 30 -s -m "${1:-fast}" stop 2>/dev/null
  return 0
}

create_database() {
  local name=$1
  admin_sql -d postgres -c "do \$\$ begin if not exists (select from pg_roles where rolname = 'chartula_app') then
    create role chartula_app login; end if; end \$\$" -c "alter role chartula_app password '$(cat "$secrets/database-password")'" ||
    fail "the database answered, but its role could not be made"
  [ -n "$(admin_sql -d postgres -c "select 1 from pg_database where datname = '$name'")" ] ||
    admin_sql -d postgres -c "create database $name owner chartula_app" || fail "the database $name could not be made"
}

write_settings() {
  local file=$code/.env
  (umask 077; cat >"$file.new" <<ENV
APP_ENV=production
APP_DEBUG=false
APP_KEY=$(cat "$secrets/app-key")
APP_URL=http://127.0.0.1:$web_port
LOG_CHANNEL=single
DB_HOST=$run
DB_PORT=$(db_port)
DB_DATABASE=chartula
DB_USERNAME=chartula_app
DB_PASSWORD=$(cat "$secrets/database-password")
DB_PERSISTENT=true
SESSION_DRIVER=file
CACHE_STORE=file
QUEUE_CONNECTION=database
BCRYPT_ROUNDS=${CHARTULA_BCRYPT_ROUNDS:-12}
CHARTULA_CORE_VERSION=$(fingerprint core | cut -c1-16)
CHARTULA_SIGN_IN_LIMIT=${CHARTULA_SIGN_IN_LIMIT:-10}
ENV
  )
  am_root && chown "$web_user" "$file.new"
  mv "$file.new" "$file"
}

# The servers run on a copy of the code, since the checkout may lie where they cannot go.
mirror_code() {
  rsync -a --delete --no-owner --no-group --chmod=D0755,Fgo+r,Fgo-w \
    --exclude=/.git --exclude=/node_modules --exclude=/tests --exclude=/storage --exclude=/bootstrap/cache --exclude=/.env \
    --exclude=/web --exclude=/docs/screenshots --exclude=/bench \
    "$project/" "$code/" || fail "the code could not be copied to $code"
  mkdir -p "$code/bootstrap/cache" "$code/storage/app/private" "$code/storage/logs" "$code/storage/framework/cache/data" "$code/storage/framework/sessions" "$code/storage/framework/views"
  am_root && chown -R "$web_user" "$code/bootstrap/cache" "$code/storage"
  return 0
}
# Whatever database the caller's own environment names, an instance works on its own.
artisan() { (cd "$code" && unset DB_HOST DB_PORT DB_DATABASE DB_USERNAME DB_PASSWORD DB_URL && as_user "$web_user" php artisan "$@"); }

prepare_application() {
  mirror_code
  write_settings
  { artisan config:clear && artisan migrate --force --no-interaction && artisan config:cache && artisan route:cache && artisan chartula:prune-kits; } >"$logs/migrate.log" 2>&1 ||
    { tail -n 5 "$logs/migrate.log" >&2; fail "the database could not be brought up to date"; }
}

# A second address to answer on, where one was asked for.
other_address() {
  local address; address=$(cat "$place/listen" 2>/dev/null || echo off)
  [ "$address" = off ] || echo "listen $address:$web_port;"
}

write_server_settings() {
  cat >"$run/fpm.conf" <<CONF
[global]
error_log = $logs/fpm.log
pid = $run/fpm.pid
daemonize = no
[web]
listen = $run/fpm.sock
listen.mode = 0600
pm = static
pm.max_children = 4
pm.max_requests = 2000
catch_workers_output = yes
clear_env = yes
env[PATH] = /usr/local/bin:/usr/bin:/bin
php_admin_value[memory_limit] = 256M
php_admin_value[post_max_size] = 64M
php_admin_value[upload_max_filesize] = 64M
php_admin_value[expose_php] = 0
CONF
  cat >"$run/nginx.conf" <<CONF
daemon off;
worker_processes 1;
pid $run/nginx.pid;
error_log $logs/nginx.log warn;
events { worker_connections 256; }
http {
  include /etc/nginx/mime.types;
  default_type application/octet-stream;
  access_log off;
  server_tokens off;
  client_max_body_size 64m;
  client_body_temp_path $run/body; proxy_temp_path $run/proxy; fastcgi_temp_path $run/fastcgi; uwsgi_temp_path $run/uwsgi; scgi_temp_path $run/scgi;
  gzip on; gzip_proxied any; gzip_min_length 600; gzip_types text/css application/javascript application/json image/svg+xml;
  server {
    listen 127.0.0.1:$web_port;
    $(other_address)
    root $code/public;
    location /build/assets/ { add_header Cache-Control "public, max-age=31536000, immutable"; add_header X-Content-Type-Options nosniff; try_files \$uri =404; }
    location ~ ^/(favicon\.svg|favicon\.ico|robots\.txt)\$ { try_files \$uri =404; }
    location / {
      fastcgi_pass unix:$run/fpm.sock;
      include /etc/nginx/fastcgi_params;
      fastcgi_param SCRIPT_FILENAME $code/public/index.php;
      fastcgi_param SCRIPT_NAME /index.php;
      fastcgi_param HTTP_PROXY "";
      fastcgi_read_timeout 60s;
      fastcgi_buffers 64 16k;
    }
  }
}
CONF
}

php_fpm_program() { command -v php-fpm8.2 || ls /usr/sbin/php-fpm8* 2>/dev/null | head -n1; }

# Starts command $2… of user $web_user in the background and writes its id to $run/$1.pid.
launch() {
  local name=$1; shift
  (cd "$code" && as_user "$web_user" setsid --fork sh -c 'echo $$ >"$0"; exec "$@"' "$run/$name.pid" "$@" >>"$logs/$name.log" 2>&1 </dev/null)
}

web_up() {
  write_server_settings
  am_root && { touch "$logs/fpm.log" "$logs/nginx.log" "$logs/worker.log"; chown "$web_user" "$logs"/{fpm,nginx,worker}.log; }
  alive "$run/fpm.pid" || { rm -f "$run/fpm.sock"; launch fpm "$(php_fpm_program)" -d opcache.enable=1 -d opcache.memory_consumption=128 -d opcache.max_accelerated_files=20000 -d opcache.validate_timestamps=0 -d opcache.jit=tracing -d opcache.jit_buffer_size=64M -d zend.enable_gc=0 --nodaemonize --fpm-config "$run/fpm.conf"; }
  alive "$run/nginx.pid" || launch nginx nginx -e "$logs/nginx.log" -c "$run/nginx.conf"
  for _ in $(seq 100); do
    [ -S "$run/fpm.sock" ] && ! port_is_free "$web_port" && return 0
    sleep 0.05
  done
  tail -n 3 "$logs/nginx.log" "$logs/fpm.log" >&2
  fail "the web server did not start on port $web_port"
}
web_down() { stop_pid "$run/nginx.pid" QUIT; stop_pid "$run/fpm.pid" "${1:-QUIT}"; rm -f "$run/fpm.sock"; }

worker_up() { alive "$run/worker.pid" || launch worker php artisan queue:work --sleep=1 --tries=3 --max-time=86400 --quiet; }
worker_down() { stop_pid "$run/worker.pid" TERM; }

everything_down() { worker_down; web_down; database_down; }

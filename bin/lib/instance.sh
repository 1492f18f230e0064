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
  mkdir -p "$place" "$run/web" "$run/database" "$logs/web" "$logs/database" "$secrets" "$code" || fail "$place cannot be written"
  # Nobody else reads what people wrote, what is secret, or what the servers note down; each folder belongs to the one user that writes there.
  # The database's socket can be reached by the web server, and by nobody without the password.
  chmod 0755 "$home_of_instances" "$place" "$run" "$run/database" "$code"
  chmod 0700 "$secrets" "$run/web" "$logs/web" "$logs/database"
  chmod 0711 "$logs"
  (umask 077; touch "$logs"/{migrate,initdb,pg_ctl,restore}.log; chmod 0600 "$logs"/*.log)
  if am_root; then chown root "$run" "$logs"; chown "$web_user" "$run/web" "$logs/web"; chown "$db_user" "$run/database" "$logs/database"; fi
  turn_over
  local name
  for name in database-password admin-password app-key; do
    [ -s "$secrets/$name" ] && continue
    (umask 077; if [ "$name" = app-key ]; then echo "base64:$(head -c 32 /dev/urandom | base64)"; else random_secret; fi >"$secrets/$name")
  done
}

# What has grown beyond 5 MB is put aside, once; the application turns its own over from day to day.
turn_over() {
  local file
  for file in "$logs"/*.log "$logs"/web/*.log "$logs"/database/*.log; do
    [ -f "$file" ] && [ "$(stat -c %s "$file")" -gt 5000000 ] && mv "$file" "$file.1"
  done
  return 0
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
  # One that an earlier version started has its socket elsewhere, and one that ended by itself is not up.
  if database_is_up; then
    database_answers
    [ -S "$run/database/.s.PGSQL.$(db_port)" ] && return 0
    database_down
  fi
  port_is_free "$(db_port)" || free_port >"$place/database-port"
  local durable=on
  case $instance in test*) [ -n "${CHARTULA_DURABLE:-}" ] || durable=off ;; esac
  (umask 077; touch "$logs/database/database.log"); am_root && chown "$db_user" "$logs/database/database.log"
  as_user "$db_user" "$(postgres_programs)/pg_ctl" -D "$cluster" -w -t 30 -s -l "$logs/database/database.log" start \
    -o "-p $(db_port) -c listen_addresses=127.0.0.1 -c unix_socket_directories='$run/database' -c fsync=$durable -c max_connections=60" 2>>"$logs/pg_ctl.log" ||
    { tail -n 3 "$logs/database/database.log" >&2; fail "the database did not start; its log is $logs/database/database.log"; }
  database_answers
}
# After one of its processes was killed it mends itself, and takes nobody meanwhile.
database_answers() {
  local i
  for i in $(seq 300); do
    "$(postgres_programs)/pg_isready" -q -h 127.0.0.1 -p "$(db_port)" && return 0
    [ "$i" -eq 20 ] && say "waiting for the database, which is mending itself"
    sleep 0.1
  done
  fail "the database runs and does not answer; its log is $logs/database/database.log"
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
LOG_CHANNEL=daily
LOG_DAILY_DAYS=14
DB_HOST=$run/database
DB_PORT=$(db_port)
DB_DATABASE=chartula
DB_USERNAME=chartula_app
DB_PASSWORD=$(cat "$secrets/database-password")
DB_PERSISTENT=true
SESSION_DRIVER=file
CACHE_STORE=file
QUEUE_CONNECTION=database
DB_QUEUE_RETRY_AFTER=1000
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
  (umask 077; mkdir -p "$code/bootstrap/cache" "$code/storage/app/private" "$code/storage/logs" "$code/storage/framework/cache/data" "$code/storage/framework/sessions" "$code/storage/framework/views")
  am_root && chown -R "$web_user" "$code/bootstrap/cache" "$code/storage"
  # What earlier versions left open is closed.
  chmod -R go-rwx "$code/bootstrap/cache" "$code/storage"
  return 0
}
# Whatever database the caller's own environment names, an instance works on its own.
artisan() { (cd "$code" && umask 077 && unset DB_HOST DB_PORT DB_DATABASE DB_USERNAME DB_PASSWORD DB_URL && as_user "$web_user" php artisan "$@"); }

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
error_log = $logs/web/fpm.log
pid = $run/web/fpm.pid
daemonize = no
; what processes share may be what breaks them: where several crash, all begin afresh
emergency_restart_threshold = 4
emergency_restart_interval = 60s
[web]
listen = $run/web/fpm.sock
listen.mode = 0600
pm = static
pm.max_children = 10
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
pid $run/web/nginx.pid;
error_log $logs/web/nginx.log warn;
events { worker_connections 256; }
http {
  include /etc/nginx/mime.types;
  default_type application/octet-stream;
  access_log off;
  server_tokens off;
  client_max_body_size 64m;
  client_body_temp_path $run/web/body; proxy_temp_path $run/web/proxy; fastcgi_temp_path $run/web/fastcgi; uwsgi_temp_path $run/web/uwsgi; scgi_temp_path $run/web/scgi;
  gzip on; gzip_proxied any; gzip_min_length 600; gzip_types text/css application/javascript application/json image/svg+xml;
  server {
    listen 127.0.0.1:$web_port;
    $(other_address)
    root $code/public;
    location /build/assets/ { add_header Cache-Control "public, max-age=31536000, immutable"; add_header X-Content-Type-Options nosniff; try_files \$uri =404; }
    location ~ ^/(favicon\.svg|favicon\.ico|robots\.txt)\$ { try_files \$uri =404; }
    error_page 413 @too-large;
    location @too-large { default_type application/json; return 413 '{"message":"This is larger than the 64 MB that are taken. Nothing was kept."}'; }
    location / {
      fastcgi_pass unix:$run/web/fpm.sock;
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

# Starts command $2… of user $web_user in the background and writes its id to $run/web/$1.pid.
launch() {
  local name=$1; shift
  (cd "$code" && umask 077 && as_user "$web_user" setsid --fork sh -c 'echo $$ >"$0"; exec "$@"' "$run/web/$name.pid" "$@" >>"$logs/web/$name.log" 2>&1 </dev/null)
}

web_up() {
  write_server_settings
  (umask 077; touch "$logs/web"/{fpm,nginx,worker}.log)
  am_root && chown "$web_user" "$logs/web"/{fpm,nginx,worker}.log
  alive "$run/web/fpm.pid" || { rm -f "$run/web/fpm.sock"; launch fpm "$(php_fpm_program)" -d opcache.enable=1 -d opcache.memory_consumption=128 -d opcache.max_accelerated_files=20000 -d opcache.validate_timestamps=0 -d opcache.jit=off -d opcache.preload="$code/bootstrap/preload.php" -d zend.enable_gc=0 --nodaemonize --fpm-config "$run/fpm.conf"; }
  alive "$run/web/nginx.pid" || launch nginx nginx -e "$logs/web/nginx.log" -c "$run/nginx.conf"
  for _ in $(seq 100); do
    [ -S "$run/web/fpm.sock" ] && ! port_is_free "$web_port" && return 0
    sleep 0.05
  done
  tail -n 3 "$logs/web/nginx.log" "$logs/web/fpm.log" >&2
  fail "the web server did not start on port $web_port"
}
# Whatever of this instance's servers is left without its master, as after a hard kill: of all that works in the folder of its code what
# is neither a server that is known to run nor a child of one.
leftovers() {
  local folder pid parent name known=' '
  for name in fpm nginx worker; do alive "$run/web/$name.pid" && known="$known$(head -n1 "$run/web/$name.pid") "; done
  for folder in /proc/[0-9]*; do
    [ "$(readlink "$folder/cwd" 2>/dev/null)" = "$code" ] || continue
    pid=$(basename "$folder") parent=$(sed 's/.*) . //' "$folder/stat" 2>/dev/null | cut -d' ' -f1)
    case $known in *" $pid "*|*" $parent "*) continue ;; esac
    case $(tr '\0' ' ' <"$folder/cmdline" 2>/dev/null) in *php-fpm*|*nginx*|*artisan\ queue:work*) echo "$pid" ;; esac
  done
}
end_leftovers() {
  local pid i; local pids; pids=$(leftovers)
  [ -n "$pids" ] || return 0
  for pid in $pids; do kill -s TERM "$pid" 2>/dev/null; done
  for i in $(seq 60); do [ -n "$(leftovers)" ] || return 0; sleep 0.05; done
  for pid in $(leftovers); do kill -s KILL "$pid" 2>/dev/null; done
  sleep 0.1
}

web_down() { stop_pid "$run/web/nginx.pid" QUIT; stop_pid "$run/web/fpm.pid" "${1:-QUIT}"; rm -f "$run/web/fpm.sock"; }

# The worker takes up its work again where it ended, as after a day or after a hard kill.
worker_up() {
  alive "$run/web/worker.pid" || launch worker sh -c 'trap "kill \$work 2>/dev/null; wait; exit" TERM
    while :; do php artisan queue:work --sleep=1 --tries=1 --timeout=900 --memory=256 --max-time=86400 --quiet & work=$!; wait "$work"; sleep 1; done'
}
worker_down() { stop_pid "$run/web/worker.pid" TERM; }

everything_down() { worker_down; web_down; end_leftovers; database_down; }

# Sourced by the commands in this folder: one line for each stage, and sentences when something is missing.

cd "$(dirname "${BASH_SOURCE[0]}")/.." || exit 1
export COMPOSER_ALLOW_SUPERUSER=1 COMPOSER_NO_INTERACTION=1

say() { printf '%-14s %s\n' "$1" "$2"; }
fail() { printf '%s\n' "$1" >&2; exit 1; }

# What Debian supplies: PHP's extensions, and for tests the browser, its driver and the line counter.
need_debian() {
    local missing=()
    local package
    for package in "$@"; do
        dpkg-query -W -f='${Status}' "$package" 2>/dev/null | grep -q 'ok installed' || missing+=("$package")
    done
    [ ${#missing[@]} -eq 0 ] && return 0
    [ "$(id -u)" = 0 ] || fail "These Debian packages are missing: ${missing[*]}. Install them, or run this as root."
    say debian "installing ${missing[*]}"
    { apt-get update -qq && DEBIAN_FRONTEND=noninteractive apt-get install -y -qq "${missing[@]}"; } >var/debian.log 2>&1 \
        || fail "Debian's packages could not be installed; var/debian.log says why. Check the network and run this again."
}

# A stage is skipped when the files it depends on are as they were when it last went through.
mark_of() { cat "$@" 2>/dev/null | sha256sum | cut -c1-20; }
is_fresh() { [ -f "var/$1.mark" ] && [ "$(cat "var/$1.mark")" = "$2" ]; }
set_fresh() { printf '%s' "$2" >"var/$1.mark"; }

need_packages() {
    local mark
    mark=$(mark_of composer.json core/composer.json packages/standins/composer.json)
    if ! is_fresh composer "$mark" || [ ! -f vendor/autoload.php ]; then
        say composer "installing PHP packages"
        composer update --no-progress --quiet >var/composer.log 2>&1 || fail "Composer could not install the PHP packages; var/composer.log says why."
        set_fresh composer "$mark"
    fi
    mark=$(mark_of package.json package-lock.json)
    if ! is_fresh npm "$mark" || [ ! -d node_modules ]; then
        say npm "installing web packages"
        npm ci --no-audit --no-fund --silent >var/npm.log 2>&1 || fail "npm could not install the web packages; var/npm.log says why."
        set_fresh npm "$mark"
    fi
}

need_build() {
    local mark
    mark=$({ find web -type f -print0 | sort -z | xargs -0 cat; cat vite.config.ts package-lock.json bin/lib.sh; } | sha256sum | cut -c1-20)
    if ! is_fresh build "$mark" || [ ! -f public/build/manifest.json ]; then
        say build "building the web pages"
        npx --no-install vite build >var/build.log 2>&1 || fail "The web pages could not be built; var/build.log says why."
        # The fonts' licences go with them.
        mkdir -p public/build/licences
        for licence in node_modules/@fontsource*/*/LICENSE; do
            cp "$licence" "public/build/licences/$(basename "$(dirname "$licence")").txt"
        done
        find public/build -type f \( -name '*.js' -o -name '*.css' \) -exec gzip -9 -k -f {} +
        set_fresh build "$mark"
    fi
}

mkdir -p var storage/framework/cache storage/framework/views storage/logs bootstrap/cache
# How the server is run, by bin/up and where its speed is shown. A request is over before cycles are worth collecting.
SERVED=(-d memory_limit=512M -d post_max_size=12M -d opcache.jit_buffer_size=32M -d opcache.jit=tracing -d zend.enable_gc=0 -d expose_php=0)
PHP_PACKAGES=(php8.2-sqlite3 php8.2-curl php8.2-zip php8.2-gd)

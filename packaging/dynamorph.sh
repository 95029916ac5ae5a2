#!/bin/sh
# Starts the installed Dynamorph: the window, or a command. dynamorph --help lists the commands.
set -eu
image=$(dirname "$(dirname "$(readlink -f "$0")")")
java=$image/runtime/bin/java

# of all files in the order of their names, since what the virtual machine keeps for later starts holds for this order only
classes=
for jar in "$image"/classes/*.jar; do classes=$classes${classes:+:}$jar; done

# What is loaded at a start and how it is compiled is kept by the virtual machine from the first start on (JEP 514), for each user.
kept=${XDG_CACHE_HOME:-${HOME:-/tmp}/.cache}/dynamorph
cache() {
  stamp=$(cksum <"$image/version" | cut -d ' ' -f 1)
  file=$kept/$1-$stamp.aot
  if [ -s "$file" ]; then
    echo "-XX:AOTCache=$file"
  elif [ "${2:-}" = make ] && mkdir -p "$kept" 2>/dev/null; then
    rm -f "$kept/$1"-*.aot
    echo "-XX:AOTCacheOutput=$file"
  fi
}

command_line() {
  aot=$(cache command)
  exec "$java" ${aot:+"$aot"} -Xlog:disable -XX:+UseSerialGC -XX:TieredStopAtLevel=1 --enable-native-access=ALL-UNNAMED \
    -cp "$classes" dynamorph.cli.Dynamorph "$@"
}

window() {
  if [ -d "$image/fonts" ] && mkdir -p "$kept" 2>/dev/null; then
    # lets the interface show what no font of the machine has, with the fonts that come along
    printf '%s\n' '<?xml version="1.0"?>' '<!DOCTYPE fontconfig SYSTEM "fonts.dtd">' '<fontconfig>' \
      "<include ignore_missing=\"yes\">${FONTCONFIG_FILE:-/etc/fonts/fonts.conf}</include>" \
      "<dir>$image/fonts</dir>" '</fontconfig>' >"$kept/fonts.conf"
    export FONTCONFIG_FILE="$kept/fonts.conf"
  fi
  if [ -z "${DISPLAY:-}" ]; then
    echo "There is no display here; dynamorph --help lists the commands that need none." >&2
    exit 1
  fi
  aot=$(cache window make)
  exec "$java" ${aot:+"$aot"} -Xlog:disable --enable-native-access=ALL-UNNAMED,javafx.graphics \
    --add-exports javafx.graphics/com.sun.javafx.text=ALL-UNNAMED \
    --module-path "$image/modules" --add-modules javafx.controls,javafx.swing -cp "$classes" dynamorph.app.Main "$@"
}

case "${1:-}" in
  demo)
    case " $* " in
      *" --write "* | *" --write="* | *" --help "* | *" -h "*) command_line "$@" ;;
      *) window "$@" ;;
    esac
    ;;
  open) window "$@" ;;
  "" | *.dmorph) window open "$@" ;;
  *) command_line "$@" ;;
esac

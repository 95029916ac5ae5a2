# Sourced by the scripts: finds a JDK 25 or newer and exports JAVA_HOME, or says what to install.

jdk_major() {  # of a JDK's folder, from the file that says so: starting the compiler to ask it takes a third of a second
  local line
  major=
  [ -x "$1/bin/javac" ] || return 1
  if [ ! -r "$1/release" ]; then
    major=$("$1/bin/javac" -version 2>&1 | sed -n 's/^javac \([0-9]*\).*/\1/p')
    return 0
  fi
  while IFS= read -r line; do
    case "$line" in
      JAVA_VERSION=*) major=${line#JAVA_VERSION=\"}; major=${major%%[!0-9]*} ;;
    esac
  done <"$1/release"
}

find_jdk() {
  local candidate major on_path
  on_path=$(command -v javac 2>/dev/null || true)
  [ -n "$on_path" ] && on_path=$(readlink -f "$on_path" 2>/dev/null || echo "$on_path") && on_path=${on_path%/bin/javac}
  for candidate in "${JAVA_HOME:-}" "$on_path" \
    /usr/lib/jvm/* /opt/java/* /opt/jdk* "$HOME"/.jdks/* "$HOME"/.sdkman/candidates/java/* \
    /Library/Java/JavaVirtualMachines/*/Contents/Home; do
    [ -n "$candidate" ] || continue
    jdk_major "$candidate" || continue
    if [ "${major:-0}" -ge 25 ]; then
      export JAVA_HOME=$candidate
      return 0
    fi
  done
  echo "Dynamorph needs a JDK 25. Install one (for example Eclipse Temurin 25) or set JAVA_HOME to it." >&2
  return 1
}

need_maven() {
  command -v mvn >/dev/null 2>&1 && return 0
  echo "Dynamorph is built with Maven. Install it (Debian: apt-get install maven)." >&2
  return 1
}

# Opens displays of Xvfb that close with the script: sourced by it.

# How many displays. Sets DISPLAY_PREFIX, to which their numbers from 1 on are added, such as :7 for :71 and :72.
open_displays() {
  local prefix number
  for prefix in 7 8 9 10 11 12 13 14 15 16; do
    for number in $(seq "$1"); do
      [ -e "/tmp/.X11-unix/X$prefix$number" ] || [ -e "/tmp/.X$prefix$number-lock" ] && continue 2
    done
    DISPLAY_PREFIX=":$prefix"
    break
  done
  [ -n "${DISPLAY_PREFIX:-}" ] || { echo "No numbers are free for displays of Xvfb." >&2; exit 1; }
  local opened=()
  for number in $(seq "$1"); do
    # -r: a key that a journey holds on a slow machine is not pressed again by the display
    Xvfb "$DISPLAY_PREFIX$number" -screen 0 1600x1000x24 -nolisten tcp -r >/dev/null 2>&1 &
    opened+=($!)
  done
  trap "kill ${opened[*]} 2>/dev/null || true" EXIT
  for number in $(seq "$1"); do
    for _ in $(seq 100); do
      [ -e "/tmp/.X11-unix/X$prefix$number" ] && break
      sleep 0.1
    done
  done
}

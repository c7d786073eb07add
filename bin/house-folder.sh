# The folder of one's own house, where TAUT_DATA names no other: the user's data directory, as the system names it.
if [ -z "${TAUT_DATA:-}" ]; then
  case "$(uname -s)" in
    Darwin) TAUT_DATA="$HOME/Library/Application Support/Taut Pinset" ;;
    *) TAUT_DATA="${XDG_DATA_HOME:-$HOME/.local/share}/taut-pinset" ;;
  esac
fi
export TAUT_DATA

# Sourced by bin/check and bin/test: runs commands beside each other, and says of each what it found when all are through.
# beside NAME COMMAND … begins one; its words go to $reports/NAME.txt. all_through fails when any of them did.
names=() pids=()
beside() {
  local name=$1; shift
  "$@" >"$reports/$name.txt" 2>&1 &
  names+=("$name"); pids+=($!)
}
all_through() {
  local failed=0 i
  for i in "${!pids[@]}"; do
    if wait "${pids[$i]}"; then echo "ok      ${names[$i]}"; else failed=1; echo "-- failed: ${names[$i]}"; cat "$reports/${names[$i]}.txt"; fi
  done
  return "$failed"
}

#!/usr/bin/env bash
# Each reader for some seconds or a number of runs, from small beginnings that are made here. Fails when one broke.
# run.sh BUILD SECONDS RUNS
set -euo pipefail
build=$1 seconds=$2 runs=$3
root=$(cd "$(dirname "$0")/../.." && pwd)
corpus=$build/corpus
mkdir -p "$corpus"/{csv,blueprint,rows,bvh,c3d,trc,tflite,calendar,film,index,found,review,bundle}
cp "$root"/blueprints/*.json "$corpus/blueprint/"
python3 "$root/tests/fuzz/beginnings.py" "$corpus"
ffmpeg -y -v error -f lavfi -i testsrc2=size=64x48:rate=25 -t 0.4 -pix_fmt yuv420p "$corpus/film/small.mp4"
ffmpeg -y -v error -f lavfi -i testsrc2=size=64x48:rate=25 -t 0.4 -c:v ffv1 "$corpus/film/small.mkv"
head -c 20000 "$root/finder/models/person.tflite" > "$corpus/tflite/beginning"
status=0
for reader in csv blueprint rows bvh c3d trc tflite calendar film index found review bundle; do
  most=65536; [ "$reader" = film ] && most=32768
  echo "$reader: "
  if ! "$build/bin/fuzz_$reader" -max_total_time="$seconds" -runs="$runs" -max_len=$most -rss_limit_mb=2048 -malloc_limit_mb=1024 \
       -timeout=25 -print_final_stats=1 -artifact_prefix="$build/$reader-" "$corpus/$reader" > "$build/$reader.log" 2>&1; then
    status=1
    echo "  broke: the file is $build/$reader-*, what was said: $build/$reader.log"
    grep -E "ERROR|SUMMARY|broken promise|runtime error" "$build/$reader.log" | head -5 || true
  fi
  grep -E "stat::number_of_executed_units|stat::peak_rss_mb" "$build/$reader.log" | sed 's/^/  /' || true
done
exit $status

#!/usr/bin/env bash
# Where the model files came from, and whether those here still are what was published: fetches the npm package anew,
# checks its files against the sums below, and compares those kept here with them byte for byte.
# "fetch.sh lite" or "fetch.sh heavy" also puts that model here. "fetch.sh --missing" only does something when one of
# the two kept here is missing or is not itself (a checkout without large files has a pointer in its place).
set -euo pipefail
cd "$(dirname "$0")"
sums="e9a5c5cb17f736fafd4c2ec1da3b3d331d6edbe8a0d32395855aeb2cdfd64b9f  body_full.tflite
a63c614bef30d35947f13be361820b1e4e3bec9cfeebf4d11216a18373108e85  person.tflite"
if [ "${1:-}" = --missing ]; then
    if sha256sum --check --status <<< "$sums" 2> /dev/null; then exit 0; fi
    echo "The body models are missing here: fetching them from npm."
    set -- full person
fi
package='@mediapipe/pose@0.5.1675469404'
folder="$(mktemp -d)"
trap 'rm -rf "$folder"' EXIT
(cd "$folder" && npm pack --silent "$package" > /dev/null && tar xzf ./*.tgz)

check() { # file in the package, name here, sha256, kept here or only when asked for
    local published="$folder/package/$1"
    echo "$3  $published" | sha256sum --check --quiet -
    if [ "$4" = kept ] || [ -f "$2" ]; then
        cmp "$published" "$2"
        echo "$2 is $1 of $package"
    fi
}
take() {
    case " $wanted " in *" $2 "*) install -m 644 "$folder/package/$1" "$3" ;; esac
}
wanted="${*:-}"
take pose_landmark_full.tflite full body_full.tflite
take pose_solution_packed_assets.data person person.tflite
take pose_landmark_lite.tflite lite body_lite.tflite
take pose_landmark_heavy.tflite heavy body_heavy.tflite
check pose_landmark_full.tflite body_full.tflite e9a5c5cb17f736fafd4c2ec1da3b3d331d6edbe8a0d32395855aeb2cdfd64b9f kept
check pose_solution_packed_assets.data person.tflite a63c614bef30d35947f13be361820b1e4e3bec9cfeebf4d11216a18373108e85 kept
check pose_landmark_lite.tflite body_lite.tflite f17bfbecadb61c3be1baa8b8d851cc6619c870a87167b32848ad20db306b9d61 optional
check pose_landmark_heavy.tflite body_heavy.tflite 59e42d71bcd44cbdbabc419f0ff76686595fd265419566bd4009ef703ea8e1fe optional

"""Small sound files, written by hand from the formats' descriptions, for the fuzzer to begin with. Argument: the folder with one folder a reader."""
import io
import json
import struct
import sys
import zipfile
from pathlib import Path

out = Path(sys.argv[1])
(out / "csv/tracks").write_text("frame,time_s,landmark,x_px,y_px,sigma_px,how\n0,0,left_hip,1.5,2.5,1,hand\n1,0.04,left_hip,2,3,1,hand\n")
(out / "csv/table").write_text("rep,measure,value,u\n1,knee,120,2\n2,knee,121,2\n")
bvh = """HIERARCHY
ROOT Hips
{
 OFFSET 0 0 0
 CHANNELS 6 Xposition Yposition Zposition Zrotation Xrotation Yrotation
 JOINT LeftUpLeg
 {
  OFFSET 1 0 0
  CHANNELS 3 Zrotation Xrotation Yrotation
  End Site
  {
   OFFSET 0 -4 0
  }
 }
}
MOTION
Frames: 2
Frame Time: 0.01
0 0 0 0 0 0 0 0 0
1 2 3 4 5 6 7 8 9
"""
(out / "bvh/small").write_text(bvh)
trc = """PathFileType\t4\t(X/Y/Z)\tsmall.trc
DataRate\tCameraRate\tNumFrames\tNumMarkers\tUnits\tOrigDataRate\tOrigDataStartFrame\tOrigNumFrames
100\t100\t2\t1\tmm\t100\t1\t2
Frame#\tTime\tL.Hip\t\t
\t\tX1\tY1\tZ1
1\t0\t1\t2\t3
2\t0.01\t2\t3\t4
"""
(out / "trc/small").write_text(trc)
# C3D: a header block, a parameter block with POINT:LABELS, two frames of one marker as floats.
header = struct.pack("<BBHHHHHfHHf", 2, 0x50, 1, 0, 1, 2, 10, -1.0, 3, 0, 100.0).ljust(512, b"\0")


def group(number, name):
    return struct.pack("<bb", len(name), -number) + name + struct.pack("<hB", 3, 0)


def parameter(number, name, kind, dims, data):
    body = struct.pack("<bB", kind, len(dims)) + bytes(dims) + data + b"\0"
    return struct.pack("<bb", len(name), number) + name + struct.pack("<h", len(body) + 2) + body


parameters = b"\0\0\1\x54" + group(1, b"POINT") + parameter(1, b"LABELS", -1, [4, 1], b"LHIP") + parameter(
    1, b"UNITS", -1, [2], b"mm") + parameter(1, b"SCALE", 4, [], struct.pack("<f", -1.0))
points = b"".join(struct.pack("<ffff", x, x + 1, x + 2, 0.0) for x in (1.0, 2.0))
(out / "c3d/small").write_bytes(header + parameters.ljust(512, b"\0") + points)
(out / "calendar/small").write_text("BEGIN:VCALENDAR\r\nVERSION:2.0\r\nPRODID:x\r\nBEGIN:VEVENT\r\nUID:1\r\nDTSTAMP:20260101T000000Z\r\n"
                                    "DTSTART:20260105T100000Z\r\nDTEND:20260105T113000Z\r\nRRULE:FREQ=WEEKLY;COUNT=4\r\nSUMMARY:school\r\n"
                                    "END:VEVENT\r\nEND:VCALENDAR\r\n")
(out / "rows/take").write_text(json.dumps({"id": 1, "title": "a", "view": "side", "facing": "left", "day": "2026-01-01", "width": 640,
                                           "height": 360, "handedness": "right", "performer": "athlete", "stage": "slow"}))
(out / "rows/rep").write_text(json.dumps({"id": 1, "take": 1, "number": 1, "first": 0, "last": 10, "positions": {"a": {"frame": 3}}}))
# The table of a film of three frames, the second shown last: three packets, the frames' packets, their times.
index = struct.pack("<IIQQBiiiidd", 0x58495252, 2, 3, 3, 0, 1, 0, 0, 0, 0.04, 0.0)
for pts, dts, place, frame, key in ((0, -1, 48, 0, 1), (2, 0, 900, 2, 0), (1, 1, 1200, 1, 0)):
    index += struct.pack("<qqqiBB", pts, dts, place, frame, key, 0)
index += struct.pack("<iii", 0, 2, 1) + struct.pack("<ddd", 0.0, 0.04, 0.08)
(out / "index/small").write_bytes(index)
(out / "found/small").write_text("riflesso-found 1\n3 0.99 120 0.9 50 60 110 0.01" + " 1.5 2.5 0.1 0.1 0.9 0.2" * 4 + " -" * 16 + " .\n")
(out / "review/small").write_text(json.dumps({"format": 1, "next": 2, "scenes": [
    {"id": 1, "kind": "good", "words": "a", "rep": 1, "other": 0, "measure": "", "seconds": 6, "slow": 4, "spoken": False,
     "caption": "", "pointer": [[0.1, 0.5, 0.5, False]]}]}))
packed = io.BytesIO()
with zipfile.ZipFile(packed, "w") as z:
    z.writestr("riflesso.json", json.dumps({"format": 1, "made": "2026-01-01T00:00:00Z", "athletes": [], "cases": [],
                                            "blueprints": {}, "files": {}}))
(out / "bundle/small").write_bytes(packed.getvalue())

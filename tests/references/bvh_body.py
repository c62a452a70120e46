"""The body of a motion file for the simulated camera: joints in metres, x along the walk, y up, z into the picture.
Arguments: file, first frame, number of frames. The scale is that of the file's source (1 unit = 0.4535 in = 5.64 cm, from
memory); heels, toes' ends and the head's middle are not in it and are put where shoes and skull have them."""
import json, sys
import numpy as np

from bvh_file import positions

path, first, count = sys.argv[1], int(sys.argv[2]), int(sys.argv[3])
joints, dt = positions(path)
S = 0.0564
part = {k: v[first:first + count] * S for k, v in joints.items()}
to = lambda v: np.stack([v[:, 2], v[:, 1], -v[:, 0]], axis=1)
j = {k: to(v) for k, v in part.items()}
out = {}
for side in ("Left", "Right"):
    s = side.lower() + "_"
    for ours, theirs in (("shoulder", "Arm"), ("elbow", "ForeArm"), ("wrist", "Hand"), ("hip", "UpLeg"), ("knee", "Leg"), ("ankle", "Foot")):
        out[s + ours] = j[side + theirs]
    hand = j[side + "FingerBase"] - j[side + "Hand"]
    fore = j[side + "Hand"] - j[side + "ForeArm"]
    fore = fore / np.linalg.norm(fore, axis=1, keepdims=True)
    out[s + "hand"] = j[side + "Hand"] + 0.09 * fore
    foot = j[side + "ToeBase"] - j[side + "Foot"]
    along = foot / np.linalg.norm(foot, axis=1, keepdims=True)
    out[s + "toe"] = j[side + "ToeBase"] + 0.05 * along
    out[s + "heel"] = j[side + "Foot"] - 0.05 * along - np.array([0, 0.05, 0])
up = j["Neck"] - j["Hips"]
up = up / np.linalg.norm(up, axis=1, keepdims=True)
out["neck"] = (out["left_shoulder"] + out["right_shoulder"]) / 2 + 0.02 * up
out["head"] = out["neck"] + 0.19 * up
across = out["left_shoulder"] - out["right_shoulder"]
chest = np.cross(across, up)
chest = chest / np.linalg.norm(chest, axis=1, keepdims=True)
everything = np.concatenate(list(out.values()))
shift = np.array([0.9 - (everything[:, 0].min() + everything[:, 0].max()) / 2, -everything[:, 1].min(), -everything[:, 2].mean()])
print(json.dumps({"dt": dt, "joints": {k: (v + shift).round(5).tolist() for k, v in out.items()}, "chest": chest.round(5).tolist()}))

"""Joint positions, knee angle and its rate of a motion file, computed with NumPy and SciPy alone.
Arguments: file, effective cut-off in Hz. Prints tracks (pixels of an orthographic side camera) and the reference."""
import json, sys
import numpy as np
from scipy.signal import butter, filtfilt

from bvh_file import positions

path, fc = sys.argv[1], float(sys.argv[2])
joints, dt = positions(path)
n = min(400, len(next(iter(joints.values()))))
dt = round(dt, 9)
fs = 1 / dt
scale = 20.0  # pixels a unit of the file
names = {"left_hip": "LeftUpLeg", "left_knee": "LeftLeg", "left_ankle": "LeftFoot", "left_toe": "LeftToeBase",
         "right_hip": "RightUpLeg", "right_knee": "RightLeg", "right_ankle": "RightFoot"}
# Side camera: z to the right, y up in the file, y down in the picture.
px = {k: np.stack([600 + scale * joints[v][:n, 2], 500 - scale * joints[v][:n, 1]], axis=1) for k, v in names.items()}
rows = ["time_s,frame,landmark,x_px,y_px,sigma_px,how"]
for f in range(n):
    for k in px: rows.append(f"{f * dt:.9f},{f},{k},{px[k][f, 0]:.9f},{px[k][f, 1]:.9f},1.0,hand")
corrected = np.arctan(np.tan(np.pi * fc / fs) / (np.sqrt(2) - 1) ** 0.25) * fs / np.pi
b, a = butter(2, corrected / (fs / 2))
sm = {k: filtfilt(b, a, v, axis=0) for k, v in px.items()}
u, v = sm["left_hip"] - sm["left_knee"], sm["left_ankle"] - sm["left_knee"]
angle = np.degrees(np.arccos(np.sum(u * v, axis=1) / np.linalg.norm(u, axis=1) / np.linalg.norm(v, axis=1)))
raw_u, raw_v = px["left_hip"] - px["left_knee"], px["left_ankle"] - px["left_knee"]
raw = np.degrees(np.arccos(np.sum(raw_u * raw_v, axis=1) / np.linalg.norm(raw_u, axis=1) / np.linalg.norm(raw_v, axis=1)))
trunk = sm["left_knee"] - sm["left_ankle"]
lean = np.degrees(np.arctan2(trunk[:, 0], -trunk[:, 1]))
print(json.dumps({"csv": "\n".join(rows) + "\n", "knee": list(angle), "knee_raw": list(raw), "rate": list(np.gradient(angle, dt)), "shank_lean": list(lean), "frames": n}))

"""Motion capture read independently. `motion.py bvh FILE`: places of some joints, and hip and knee angle, shank lean and
ankle speed as seen from the side, with NumPy and SciPy. `motion.py c3d FILE`: head, labels and points of a C3D file, with
struct alone, by the offsets of the C3D user guide (from memory)."""
import json, struct, sys
import numpy as np

if sys.argv[1] == "bvh":
    from bvh_file import positions
    joints, dt = positions(sys.argv[2])
    n = 300
    j = {k: v[:n] for k, v in joints.items()}
    up = np.array([0.0, 1.0, 0.0])  # this file stands on y
    across = np.mean(np.concatenate([joints["RightUpLeg"] - joints["LeftUpLeg"], joints["RightArm"] - joints["LeftArm"]]), axis=0)
    right = across - up * (across @ up)
    right /= np.linalg.norm(right)
    forward = np.cross(up, right)
    flat = {k: np.stack([v @ forward, v @ up], axis=1) for k, v in j.items()}

    def angle(a, b, c):
        u, w = flat[a] - flat[b], flat[c] - flat[b]
        cross = u[:, 0] * w[:, 1] - u[:, 1] * w[:, 0]
        return np.degrees(np.abs(np.arctan2(cross, np.sum(u * w, axis=1))))

    shank = flat["LeftLeg"] - flat["LeftFoot"]
    body = np.mean([np.mean((joints[t] - joints[f]) @ up) for f in ("LeftFoot", "RightFoot")
                    for t in ("Neck", "LeftArm", "RightArm")])
    way = flat["LeftFoot"][2:] - flat["LeftFoot"][:-2]
    print(json.dumps({
        "dt": dt, "frames": len(joints["Hips"]),
        "left_knee": j["LeftLeg"].tolist(), "right_wrist": j["RightHand"].tolist(),
        "knee": angle("LeftUpLeg", "LeftLeg", "LeftFoot").tolist(),
        "hip": angle("LeftArm", "LeftUpLeg", "LeftLeg").tolist(),
        "shank_lean": np.degrees(np.arctan2(shank[:, 0], shank[:, 1])).tolist(),
        "ankle_speed": (np.linalg.norm(way, axis=1) / (2 * dt) / body).tolist(),  # heights a second
    }))
else:
    data = open(sys.argv[2], "rb").read()
    word = lambda i: struct.unpack_from("<H", data, 2 * (i - 1))[0]  # words count from 1
    real = lambda i: struct.unpack_from("<f", data, 2 * (i - 1))[0]
    points, first, last, scale, start, rate = word(2), word(4), word(5), real(7), word(9), real(11)
    at, labels, units, groups = 512 * (data[0] - 1) + 4, [], "", {}
    while at < len(data):
        n, g = abs(struct.unpack_from("b", data, at)[0]), struct.unpack_from("b", data, at + 1)[0]
        if n == 0:
            break
        name, nxt = data[at + 2:at + 2 + n].decode(), struct.unpack_from("<h", data, at + 2 + n)[0]
        if g < 0:
            groups[-g] = name
        else:
            kind, dims = struct.unpack_from("bB", data, at + 4 + n)
            size = list(data[at + 6 + n:at + 6 + n + dims])
            body = data[at + 6 + n + dims:]
            if groups[g] == "POINT" and name == "LABELS":
                labels = [body[i * size[0]:(i + 1) * size[0]].decode().strip() for i in range(size[1])]
            if groups[g] == "POINT" and name == "UNITS":
                units = body[:size[0]].decode()
        if nxt == 0:
            break
        at += 2 + n + nxt
    frames = last - first + 1
    values = np.frombuffer(data, "<f4", frames * points * 4, (start - 1) * 512).reshape(frames, points, 4)
    print(json.dumps({"magic": data[1], "points": points, "frames": frames, "rate": rate, "scale": scale, "labels": labels,
                      "units": units, "values": values.round(5).tolist()}))

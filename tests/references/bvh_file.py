"""Reading a BVH motion file with NumPy and SciPy: joint positions over time."""
import numpy as np
from scipy.spatial.transform import Rotation

def load(path):
    tokens = open(path).read().split()
    i, stack, joints, parent = 0, [], [], {}
    channels, offset = {}, {}
    while tokens[i] != "MOTION":
        t = tokens[i]
        if t in ("ROOT", "JOINT"):
            name = tokens[i + 1]; joints.append(name); parent[name] = stack[-1] if stack else None; last = name; i += 2
        elif t == "End":
            last = f"end_{stack[-1]}"; joints.append(last); parent[last] = stack[-1]; channels[last] = []; i += 2
        elif t == "{": stack.append(last); i += 1
        elif t == "}": stack.pop(); i += 1
        elif t == "OFFSET": offset[last] = np.array([float(v) for v in tokens[i + 1:i + 4]]); i += 4
        elif t == "CHANNELS":
            n = int(tokens[i + 1]); channels[last] = tokens[i + 2:i + 2 + n]; i += 2 + n
        else: i += 1
    frames, dt = int(tokens[i + 2]), float(tokens[i + 5])
    values = np.array([float(v) for v in tokens[i + 6:]]).reshape(frames, -1)
    return joints, parent, channels, offset, frames, dt, values

def positions(path):
    joints, parent, channels, offset, frames, dt, values = load(path)
    out = {j: np.zeros((frames, 3)) for j in joints}
    for f in range(frames):
        k, world = 0, {}
        for j in joints:
            p, r = offset[j].copy(), Rotation.identity()
            for c in channels[j]:
                v = values[f, k]; k += 1
                if c.endswith("position"): p["XYZ".index(c[0])] += v
                else: r = r * Rotation.from_euler(c[0].lower(), v, degrees=True)
            if parent[j] is None: world[j] = (p, r)
            else:
                pp, pr = world[parent[j]]
                world[j] = (pp + pr.apply(p), pr * r)
            out[j][f] = world[j][0]
    return out, dt

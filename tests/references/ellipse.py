"""Half-axes and angle of the ellipse that holds 68 % of a bivariate normal, by NumPy and SciPy."""
import json, sys
import numpy as np
from scipy.stats import chi2

d = json.load(sys.stdin)
values, vectors = np.linalg.eigh(np.cov(np.stack([d["x"], d["y"]])))
k = np.sqrt(chi2.ppf(0.68, 2))
v = vectors[:, 1]
angle = np.degrees(np.arctan2(v[1], v[0]))
angle = angle - 180 if angle > 90 else angle + 180 if angle <= -90 else angle
print(json.dumps({"ellipse": [k * np.sqrt(values[1]), k * np.sqrt(values[0]), angle]}))

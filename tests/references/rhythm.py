"""NumPy's and SciPy's answers: spectral arc length (the formula of Balasubramanian et al. 2015, written out here on its
own), Kendall's tau, slope with its standard error and interval.
Input: {"speeds": [...], "rate": Hz, "x": [...], "y": [...]}."""
import json, sys
import numpy as np
from scipy import stats

data = json.load(sys.stdin)
v, fs = np.array(data["speeds"]), data["rate"]
n = int(2 ** (np.ceil(np.log2(len(v))) + 4))
amplitude = np.abs(np.fft.fft(v, n))
frequency = np.arange(n) * fs / n
keep = frequency <= 10.0
amplitude, frequency = amplitude[keep] / amplitude[keep].max(), frequency[keep]
inside = np.nonzero(amplitude >= 0.05)[0]
amplitude = amplitude[inside[0]:inside[-1] + 1]
frequency = frequency[inside[0]:inside[-1] + 1]
arc = -np.sum(np.hypot(np.diff(frequency) / (frequency[-1] - frequency[0]), np.diff(amplitude)))
line = stats.linregress(data["x"], data["y"])
half = stats.t.ppf(0.975, len(data["x"]) - 2) * line.stderr
print(json.dumps({
    "arc": float(arc),
    "tau": float(stats.kendalltau(data["x"], data["y"]).statistic),
    "slope": float(line.slope), "intercept": float(line.intercept), "stderr": float(line.stderr),
    "lo": float(line.slope - half), "hi": float(line.slope + half),
}))

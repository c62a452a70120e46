"""SciPy's and NumPy's answers: lag of the best cross-correlation, autocorrelation scaled for its overlap, t interval.
Input: {"x": [...], "y": [...], "sample": [...]}."""
import json, sys
import numpy as np
from scipy import signal, stats

data = json.load(sys.stdin)
x, y, s = (np.array(data[k]) for k in ("x", "y", "sample"))
a, b = x - x.mean(), y - y.mean()
full = signal.correlate(b, a, mode="full", method="direct") / np.sqrt((a @ a) * (b @ b))
lags = signal.correlation_lags(len(b), len(a))
own = signal.correlate(a, a, mode="full", method="direct")[len(a) - 1:]
overlap = 1 - np.arange(len(a)) / len(a)
lo, hi = stats.t.interval(0.95, len(s) - 1, loc=s.mean(), scale=stats.sem(s))
print(json.dumps({"lags": lags.tolist(), "correlation": full.tolist(), "own": (own / own[0] / overlap).tolist()[:120],
                  "lo": float(lo), "hi": float(hi)}))

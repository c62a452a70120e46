"""SciPy's answer for a zero-lag 2nd-order Butterworth (filtfilt) and the central derivative.
Input: {"samples": [...], "rate": Hz, "cutoff": effective Hz}. Winter's correction is computed here on its own."""
import json, sys
import numpy as np
from scipy.signal import butter, filtfilt, freqz

data = json.load(sys.stdin)
x, fs, fc = np.array(data["samples"]), data["rate"], data["cutoff"]
corrected = np.arctan(np.tan(np.pi * fc / fs) / (np.sqrt(2) - 1) ** 0.25) * fs / np.pi
b, a = butter(2, corrected / (fs / 2))
smooth = filtfilt(b, a, x)
w, h = freqz(b, a, worN=[2 * np.pi * fc / fs])
print(json.dumps({
    "b": list(b), "a": list(a),
    "smooth": list(smooth),
    "derivative": list(np.gradient(smooth, 1 / fs)),
    "two_pass_gain_at_cutoff": float(abs(h[0]) ** 2),
}))

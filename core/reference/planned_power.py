"""Makes planned-power.json: the power of a planned comparison by SciPy's noncentral t and studentised range."""
import json
import numpy as np
from scipy import stats, optimize
from design_model import dunnett

def beyond(critical, df, away):
    return float(stats.nct.sf(critical, df, away) + stats.nct.cdf(-critical, df, away))

def critical_of(groups, df, control, questions, share):
    tail = 0.05 / questions
    if groups == 2: return float(stats.t.ppf(1 - tail / 2, df))
    if not control: return float(stats.studentized_range.ppf(1 - tail, groups, df)) / np.sqrt(2)
    rho = round((share + 0.5) / 2 / 0.05) * 0.05
    return optimize.brentq(lambda t: dunnett(t, groups - 1, rho, df) - tail, 1, 40)

def power(groups, units, cells, blocks, control, questions, tested, cv, change):
    far = max(0.0, 1 + change)
    base, end = cv ** 2 / units, (cv * far) ** 2 / units
    df = groups * units - cells - (blocks - 1)
    critical = critical_of(groups, df, control, questions, base / (base + end))
    if groups == 2 and cells == 2:
        fewer = df / 2 * (base + end) ** 2 / (base ** 2 + end ** 2)
        return tested * beyond(critical, fewer, abs(change) / np.sqrt(base + end))
    # |r - 1| > k sqrt(1 + r^2), the ratio r found by search and not by its formula
    k = critical * cv / np.sqrt(units)
    if k >= 1 or far == 0: return 0.0
    ratio = optimize.brentq(lambda r: (r - 1) - k * np.sqrt(1 + r * r), 1, 1e9)
    error = cv * np.sqrt(2 / units)
    return tested * beyond(np.log(ratio) / error, df, abs(np.log(far)) / error)

cases = [
    (2, 10, 2, 1, True, 1, 1, 0.2, 0.3), (2, 4, 2, 1, True, 1, 0.9, 0.3, -0.5), (2, 5, 2, 5, False, 1, 1, 0.25, 0.6),
    (2, 12, 4, 1, True, 3, 1, 0.2, 0.25), (2, 6, 4, 3, False, 3, 0.95, 0.15, -0.3), (3, 5, 3, 1, True, 1, 1, 0.2, 0.5),
    (3, 5, 3, 1, False, 1, 1, 0.2, 0.5), (5, 4, 5, 4, True, 1, 1, 0.3, -0.6), (4, 6, 8, 1, False, 3, 0.8, 0.2, 0.4),
    (2, 2, 2, 1, True, 1, 1, 0.2, -1), (3, 4, 3, 1, True, 1, 1, 0.2, -1), (2, 2, 2, 2, True, 1, 1, 0.1, 1), (3, 2, 3, 1, False, 1, 1, 0.9, 1),
]
names = ["groups", "units", "cells", "blocks", "hasControl", "questions", "tested", "cv", "change"]
print(json.dumps([{**dict(zip(names, case)), "power": power(*case)} for case in cases], indent=1))

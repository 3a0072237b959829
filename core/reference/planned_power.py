"""Makes planned-power.json: the power of a planned comparison, simulated with NumPy and judged by SciPy's distributions."""
import json
import numpy as np
from scipy import stats, optimize
from design_model import dunnett, satterthwaite, spreads

DRAWS = 6000
rng = np.random.default_rng(1908)

def critical_of(groups, df, control, questions, share, known={}):
    tail = 0.05 / questions
    if groups == 2: return float(stats.t.ppf(1 - tail / 2, df))
    key = (groups, round(df, 1), control, questions, share)
    if key not in known:
        if not control: known[key] = float(stats.studentized_range.ppf(1 - tail, groups, df)) / np.sqrt(2)
        else:
            rho = round((share + 0.5) / 2 / 0.05) * 0.05
            known[key] = optimize.brentq(lambda t: dunnett(t, groups - 1, rho, max(1, df)) - tail, 1, 80)
    return known[key]

def shown(cells, n, blocks, residual):
    """Squares left of each combination in a class in which all vary by 1, by fitting made-up values."""
    size = max(2, round(n)) if blocks > 1 else 0
    d = residual / cells
    if not size: return rng.chisquare(d, cells), d
    y = rng.standard_normal((cells, size))
    y = y - y.mean(1, keepdims=True) - y.mean(0, keepdims=True) + y.mean()
    return (y ** 2).sum(1) * d / ((size - 1) * (cells - 1) / cells), d

def power(groups, units, cells, blocks, control, questions, tested, cv, change):
    far = max(0.0, 1 + change)
    base, end = cv ** 2 / units, (cv * far) ** 2 / units
    residual = groups * units - cells - (blocks - 1)
    own = cells // groups
    two = groups == 2 and cells == 2
    if not two and far == 0: return 0.0
    seen = 0
    for _ in range(DRAWS):
        S, d = shown(cells, units / own, blocks, residual)
        v, f, names = spreads(S, np.full(cells, d), [units / own] * cells, own)
        first, second = v[:own].mean(), v[own:2 * own].mean()
        if two and blocks == 1 and min(v.shape) and names == [0, 1]:
            df = satterthwaite([base, end], v, f, names)[1]
        else: df = satterthwaite([1.0] * (2 * own) + [0.0] * (cells - 2 * own), v, f, names)[1]
        c = critical_of(groups, max(1.0, df), control, questions, base / (base + end))
        if two:
            seen += abs(change + np.sqrt(base + end) * rng.standard_normal()) > c * np.sqrt(first * base + second * end)
        else:
            # |r - 1| > k sqrt(1 + r^2), for a ratio r that varies evenly in its logarithm
            r = np.exp(np.log(far) + cv * np.sqrt(2 / units) * rng.standard_normal())
            size = np.sqrt((first + second) / 2)
            common = all(name == -1 for name in names)
            k = c * cv / np.sqrt(units) * (1 if common else size)
            if k >= 1: continue
            bound = optimize.brentq(lambda q: (q - 1) - k * np.sqrt(1 + q * q), 1, 1e12)
            if common: bound = bound ** size
            seen += r > bound or r < 1 / bound
    return tested * seen / DRAWS

cases = [
    (2, 10, 2, 1, True, 1, 1, 0.2, 0.3), (2, 4, 2, 1, True, 1, 0.9, 0.3, -0.5), (2, 5, 2, 5, False, 1, 1, 0.25, 0.6),
    (2, 12, 4, 1, True, 3, 1, 0.2, 0.25), (2, 6, 4, 3, False, 3, 0.95, 0.15, -0.3), (3, 5, 3, 1, True, 1, 1, 0.2, 0.5),
    (3, 5, 3, 1, False, 1, 1, 0.2, 0.5), (5, 4, 5, 4, True, 1, 1, 0.3, -0.6), (4, 6, 8, 1, False, 3, 0.8, 0.2, 0.4),
    (2, 2, 2, 1, True, 1, 1, 0.2, -1), (3, 4, 3, 1, True, 1, 1, 0.2, -1), (2, 2, 2, 2, True, 1, 1, 0.1, 1), (3, 2, 3, 1, False, 1, 1, 0.9, 1),
]
names = ["groups", "units", "cells", "blocks", "hasControl", "questions", "tested", "cv", "change"]
print(json.dumps([{**dict(zip(names, case)), "power": power(*case)} for case in cases], indent=1))

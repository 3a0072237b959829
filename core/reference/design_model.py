"""Makes design-model.json, what the tests of the design's model are held to: NumPy's matrices and SciPy's distributions."""
import json
import numpy as np
from scipy import stats

rng = np.random.default_rng(20261128)

def matrices(cells, blocks):
    k, b = sorted(set(cells)), sorted(set(blocks))
    X = [[float(c == g) for g in k] for c in cells]
    for row, block in zip(X, blocks):
        row += [1.0 if block == g else -1.0 if block == b[-1] else 0.0 for g in b[:-1]]
    return np.array(X), len(k)

def level_of(n, average, over):
    return 0.4 if n < 0.9 * average else 0.25 if over * n < 5 else 0.1 if over * n < 8 else 0.05

def spreads(S, d, n, over=1):
    """Variance and degrees of freedom of each treatment; those that share one have the same name."""
    k = len(S)
    if k == 2 and min(n) >= 3: return S / d, d, list(range(k))
    own, caps, left = [], [], list(range(k))
    while True:
        best = None
        for c in left:
            others = [o for o in left if o != c]
            df = sum(d[o] for o in others)
            if n[c] < 3 or df < 1 or sum(S[o] for o in others) <= 0: continue
            ratio = S[c] / d[c] / (sum(S[o] for o in others) / df)
            p, level = stats.f.sf(ratio, d[c], df), level_of(n[c], np.mean(n), over)
            if p < level and (best is None or p < best[0]): best = (p, c, stats.f.isf(level, d[c], df))
        if best is None: break
        own.append(best[1]); left.remove(best[1]); caps.append((d[best[1]], best[2]))
    df = sum(d[c] for c in left)
    common = sum(S[c] for c in left) / df * (df + sum(x * y for x, y in caps)) / (df + sum(x for x, _ in caps))
    return (np.array([S[c] / d[c] if c in own else common for c in range(k)]),
            np.array([d[c] if c in own else df for c in range(k)]), [c if c in own else -1 for c in range(k)])

def satterthwaite(parts, v, f, names):
    groups = {}
    for part, var, df, name in zip(parts, v, f, names): groups.setdefault(name, []).append((part * var, df))
    total = sum(x for g in groups.values() for x, _ in g)
    return total, total ** 2 / sum(sum(x for x, _ in g) ** 2 / g[0][1] for g in groups.values())

def judged(y, cells, blocks, contrast, power):
    X, k = matrices(cells, blocks)
    plain = np.linalg.lstsq(X, y, rcond=None)[0]
    means = np.maximum(plain[:k] / max(plain[:k]), 0.1) if power else np.ones(k)
    w = np.array([means[c] for c in cells]) ** (-2.0 * power)
    L = np.linalg.inv(X.T @ np.diag(w) @ X) @ X.T @ np.diag(w)
    beta = L @ y
    r = (y - X @ beta) * np.sqrt(w)
    free = 1 - np.diag(X @ L)
    S = np.array([np.sum(r[cells == c] ** 2) for c in range(k)])
    d = np.array([np.sum(free[cells == c]) for c in range(k)])
    v, f, names = spreads(S, d, [int(np.sum(cells == c)) for c in range(k)])
    shares = L[:k]
    part = [np.where(cells == c, 1 / w, 0) for c in range(k)]
    a = contrast @ shares
    variance, df = satterthwaite([np.sum(a ** 2 * p) for p in part], v, f, names)
    # Brunner, Dette and Munk (1997): all means alike
    T = np.eye(k) - np.ones((k, k)) / k
    V = sum(v[c] * shares @ np.diag(part[c]) @ shares.T for c in range(k))
    _, df2 = satterthwaite([np.trace(T @ shares @ np.diag(p) @ shares.T) for p in part], v, f, names)
    trace = np.trace(T @ V)
    df1 = trace ** 2 / np.trace(T @ V @ T @ V)
    F = beta[:k] @ T @ beta[:k] / trace
    return {"estimate": float(a @ y), "se": float(np.sqrt(variance)), "df": float(df),
            "own": [c for c in range(k) if names[c] == c] if k > 2 else [],
            "departure": {"f": float(F), "df1": float(df1), "df2": float(df2), "p": float(stats.f.sf(F, df1, df2))}}

def likelihood(y, cells, blocks, power):
    X, k = matrices(cells, blocks)
    beta = np.linalg.lstsq(X, y, rcond=None)[0]
    free = 1 - np.diag(X @ np.linalg.inv(X.T @ X) @ X.T)
    logs = np.log(np.maximum(beta[:k] / max(beta[:k]), 0.1))[cells]
    rest = y - X @ beta
    return -power * (logs @ free) - (len(y) - X.shape[1]) / 2 * np.log(np.sum(rest ** 2 * np.exp(-2 * power * logs)))

def case(counts, blocked, cv, wide=()):
    cells = np.array([c for c, n in enumerate(counts) for _ in range(n)])
    blocks = np.array([i for n in counts for i in range(n)] if blocked else [0] * len(cells))
    y = np.round((60 + 35 * cells + 6 * blocks) * (1 + cv * np.array([4.0 if c in wide else 1.0 for c in cells]) * rng.standard_normal(len(cells))), 1)
    contrast = np.zeros(len(counts)); contrast[0], contrast[-1] = -1, 1
    found = {"cells": cells.tolist(), "blocks": blocks.tolist(), "y": y.tolist()}
    power = 0 if len(counts) == 2 else max(np.round(np.arange(0, 1.05, 0.1), 1), key=lambda p: likelihood(y, cells, blocks, p))
    return {**found, "power": float(power), **judged(y, cells, blocks, contrast, power)}

def dunnett(t, m, rho, df):
    nodes, weights = np.polynomial.legendre.leggauss(400)
    z, wz = 9 * nodes, 9 * weights
    top = 1 + 12 / np.sqrt(df)
    s, ws = top * (nodes + 1) / 2, top * weights / 2
    high = stats.norm.cdf((t * s[:, None] + np.sqrt(rho) * z) / np.sqrt(1 - rho))
    low = stats.norm.cdf((-t * s[:, None] + np.sqrt(rho) * z) / np.sqrt(1 - rho))
    within = ((high - low) ** m) @ (wz * stats.norm.pdf(z))
    return 1 - np.sum(ws * within * stats.chi.pdf(s * np.sqrt(df), df) * np.sqrt(df))

if __name__ == "__main__": print(json.dumps({
    "models": [case(*each) for each in [([3, 5], False, 0.1), ([4, 4], True, 0.2), ([2, 6], False, 0.3),
                                               ([4, 4, 4], False, 0.2), ([3, 5, 4, 2], False, 0.25),
                                               ([5, 5, 5], True, 0.15), ([6, 6, 6, 6], True, 0.3), ([3, 3, 3], False, 0.05),
                                               ([4, 10, 10], False, 0.08, (0,)), ([5, 5, 5, 5], False, 0.06, (1, 3)),
                                               ([4, 4, 4], True, 0.07, (2,)), ([12, 3], False, 0.1), ([8, 8, 8], False, 0.1, (2,))]],
    "dunnett": [{"t": t, "m": m, "rho": r, "df": d, "p": float(dunnett(t, m, r, d))}
                for t in [0.8, 2.4, 3.6] for m in [2, 4, 7] for r in [0.3, 0.5] for d in [3, 8, 30]],
}))

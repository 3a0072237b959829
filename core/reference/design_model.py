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

def hc2(y, cells, blocks, contrast):
    X, k = matrices(cells, blocks)
    inverse = np.linalg.inv(X.T @ X)
    a = X @ inverse @ np.concatenate([contrast, np.zeros(X.shape[1] - k)])
    H = X @ inverse @ X.T
    M = np.eye(len(y)) - H
    e = M @ y
    w = np.diag(a ** 2 / np.diag(M))
    m = M @ w @ M
    return {"estimate": float(a @ y), "se": float(np.sqrt(e @ w @ e)), "df": float(np.trace(m) ** 2 / np.trace(m @ m))}

def pooled(y, cells, blocks, contrast, power):
    X, k = matrices(cells, blocks)
    plain = np.linalg.lstsq(X, y, rcond=None)[0]
    means = np.maximum(plain[:k] / max(plain[:k]), 0.1)
    w = np.array([means[c] for c in cells]) ** (-2.0 * power)
    root = np.sqrt(w)
    beta, _, rank, _ = np.linalg.lstsq(X * root[:, None], y * root, rcond=None)
    rest = (y - X @ beta) * root
    df = len(y) - rank
    inverse = np.linalg.inv(X.T @ np.diag(w) @ X)
    c = np.concatenate([contrast, np.zeros(X.shape[1] - k)])
    return {"estimate": float(c @ beta), "se": float(np.sqrt(rest @ rest / df * (c @ inverse @ c))), "df": int(df)}

def likelihood(y, cells, blocks, power):
    X, k = matrices(cells, blocks)
    beta = np.linalg.lstsq(X, y, rcond=None)[0]
    free = 1 - np.diag(X @ np.linalg.inv(X.T @ X) @ X.T)
    logs = np.log(np.maximum(beta[:k] / max(beta[:k]), 0.1))[cells]
    rest = y - X @ beta
    return -power * (logs @ free) - (len(y) - X.shape[1]) / 2 * np.log(np.sum(rest ** 2 * np.exp(-2 * power * logs)))

def case(counts, blocked, cv):
    cells = np.array([c for c, n in enumerate(counts) for _ in range(n)])
    blocks = np.array([i for n in counts for i in range(n)] if blocked else [0] * len(cells))
    y = np.round((60 + 35 * cells + 6 * blocks) * (1 + cv * rng.standard_normal(len(cells))), 1)
    contrast = np.zeros(len(counts)); contrast[0], contrast[-1] = -1, 1
    found = {"cells": cells.tolist(), "blocks": blocks.tolist(), "y": y.tolist()}
    if len(counts) == 2:
        return {**found, "power": 0, **hc2(y, cells, blocks, contrast)}
    power = max(np.round(np.arange(0, 1.05, 0.1), 1), key=lambda p: likelihood(y, cells, blocks, p))
    return {**found, "power": float(power), **pooled(y, cells, blocks, contrast, power)}

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
    "models": [case(c, b, cv) for c, b, cv in [([3, 5], False, 0.1), ([4, 4], True, 0.2), ([2, 6], False, 0.3),
                                               ([4, 4, 4], False, 0.2), ([3, 5, 4, 2], False, 0.25),
                                               ([5, 5, 5], True, 0.15), ([6, 6, 6, 6], True, 0.3), ([3, 3, 3], False, 0.05)]],
    "dunnett": [{"t": t, "m": m, "rho": r, "df": d, "p": float(dunnett(t, m, r, d))}
                for t in [0.8, 2.4, 3.6] for m in [2, 4, 7] for r in [0.3, 0.5] for d in [3, 8, 30]],
}))

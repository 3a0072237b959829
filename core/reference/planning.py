"""Makes planning.json, the values that the tests of planning figures are held to: SciPy of Debian."""
import json
from itertools import product
import numpy as np
from scipy import special, stats

def power_t(n, d):
    df, nc, c = 2 * (n - 1), d * np.sqrt(n / 2), stats.t.ppf(0.975, 2 * (n - 1))
    return float(stats.nct.sf(c, df, nc) + stats.nct.cdf(-c, df, nc))

rows = lambda make, *axes: [make(*v) for v in product(*axes)]
tables = [(["a", "a", "b", "b", "c", "c"], ["x", "y", "x", "y", "x", "y"]),
          (["a"] * 5 + ["b"] * 5, ["x"] * 5 + ["y"] * 5),
          (["a"] * 5 + ["b"] * 5, ["x"] * 4 + ["y"] * 5 + ["x"]),
          (list("abcabcabcabd"), list("ppppqqqqrrrr"))]
def v(pair):
    a, b = pair
    t = np.array([[sum(p == x and q == y for p, q in zip(a, b)) for y in sorted(set(b))] for x in sorted(set(a))])
    return {"first": a, "second": b, "v": float(stats.contingency.association(t, method="cramer", correction=False))}

LUCK, WEIGHT = np.polynomial.hermite_e.hermegauss(90)
WEIGHT = WEIGHT / WEIGHT.sum()
RHO = 0.1

def rates(g, n):
    """Nodes of the Beta posterior of n seeds by Gauss-Jacobi, or the one rate that is known."""
    if n is None: return np.array([g]), np.array([1.0])
    a, b = g * n, (1 - g) * n
    x, w = special.roots_jacobi(120, b - 1, a - 1)
    return (x + 1) / 2, w / w.sum()

def up_in_pot(m, g):
    """P(x of m seeds up): the pot's share has a probit-normal luck of correlation RHO."""
    p = stats.norm.cdf((stats.norm.ppf(g) + np.sqrt(RHO) * LUCK) / np.sqrt(1 - RHO))
    return (stats.binom.pmf(np.arange(m + 1)[:, None], m, p[None, :]) * WEIGHT).sum(axis=1)

def over_sow(g, n, k, c, P):
    share, weight = rates(g, n)
    def all_have(m): return float(sum(w * up_in_pot(m, s)[k:].sum() ** c for s, w in zip(share, weight)))
    m = k
    while all_have(m) < P: m += 1
    extra = np.maximum(np.arange(m + 1) - k, 0)
    thin = float(sum(w * (extra * up_in_pot(m, s)).sum() for s, w in zip(share, weight)) * c)
    return {"g": g, "n": n, "k": k, "c": c, "P": P, "seeds": int(m), "chance": all_have(m), "thinned": thin}

def spares(g, n, k, c, P):
    share, weight = rates(g, n)
    each = [up_in_pot(k, s)[k:].sum() for s in share]
    def enough(s): return float(sum(w * stats.binom.sf(c - 1, c + s, e) for e, w in zip(each, weight)))
    s = 0
    while enough(s) < P: s += 1
    return {"g": g, "n": n, "k": k, "c": c, "P": P, "spares": int(s)}

def wilson(x, n):
    r = stats.binomtest(x, n).proportion_ci(method="wilson")
    return {"count": x, "of": n, "low": float(r.low), "high": float(r.high)}

def beta(prior, weight, up, sown):
    a, b = prior * weight + up, (1 - prior) * weight + sown - up
    return {"prior": prior, "weight": weight, "up": up, "sown": sown, "mean": a / (a + b),
            "low": float(stats.beta.ppf(0.025, a, b)), "high": float(stats.beta.ppf(0.975, a, b))}

print(json.dumps({
    "t": rows(lambda t, df: {"t": t, "df": df, "p": float(2 * stats.t.sf(t, df))}, [0.01, 0.7, 2.1, 9, 60], [1, 1.7, 4, 30.5, 1200]),
    "tQuantile": rows(lambda df: {"df": df, "t": float(stats.t.ppf(0.975, df))}, [1, 1.7, 2, 5, 40, 5000]),
    "f": rows(lambda f, a, b: {"f": f, "df1": a, "df2": b, "p": float(stats.f.sf(f, a, b))}, [0.02, 1, 3.6, 40], [1, 3, 17], [1, 4, 11.3, 400]),
    "betainc": rows(lambda x, a, b: {"x": x, "a": a, "b": b, "value": float(special.betainc(a, b, x))}, [1e-6, 0.03, 0.5, 0.97], [0.5, 1.5, 20, 900], [0.5, 2, 35]),
    "powerT": rows(lambda n, d: {"n": n, "d": d, "power": power_t(n, d)}, [2, 3, 4.5, 5, 12, 40], [0, 0.3, 1, 2.5]),
    "cramersV": [v(t) for t in tables],
    "binomial": rows(lambda n, p, k: {"n": n, "p": p, "k": k, "atLeast": float(stats.binom.sf(k - 1, n, p))}, [1, 5, 30, 200], [0.01, 0.5, 0.7, 0.97], [1, 3, 20, 190]),
    "overSow": rows(over_sow, [0.55, 0.7, 0.85, 0.97], [None, 30], [1, 2], [1, 12, 60], [0.8, 0.95]),
    "spares": rows(spares, [0.55, 0.7, 0.9], [None, 30], [1, 2], [6, 12], [0.8]),
    "wilson": [wilson(*x) for x in [(0, 10), (3, 10), (10, 10), (41, 50), (1, 1)]],
    "beta": [beta(*x) for x in [(0.85, 10, 7, 10), (0.5, 20, 0, 30), (0.9, 10, 48, 50), (0.7, 5, 3, 3)]],
}, indent=1))

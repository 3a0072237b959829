"""Makes imaging.json, the values that the tests of core/imaging are held to: NumPy of Debian, by other ways."""
import json
import numpy as np

def draws(seed, n):
    """Numerical Recipes' linear congruential generator: whole numbers that both languages make alike."""
    out, x = [], seed
    for _ in range(n):
        x = (1664525 * x + 1013904223) % 2**32
        out.append(x)
    return np.array(out, dtype=np.uint64)

def pixels(seed, n):
    """Soil and leaves, half of each hidden in noise: (red, green, blue) from 0 to 255."""
    d = draws(seed, 4 * n).reshape(n, 4)
    leaf = (d[:, 0] >> 16) % 10 < seed % 7 + 1
    noise = ((d[:, 1:] >> 20) % 31).astype(int) - 15
    base = np.where(leaf[:, None], [74, 128, 48], [104, 80, 62])
    return base + noise

def excess(rgb):
    rgb = rgb.astype(float)
    s = rgb.sum(axis=1)
    with np.errstate(all="ignore"):
        r, g, b = (rgb / s[:, None]).T
        return np.where(s < 30, 0.0, 2 * g - r - b)

def otsu(values):
    """Cut that leaves least variance within the two sides (the same cut, found the other way), by every step."""
    bins = np.clip(np.floor((values + 1) * 256), 0, 767)
    within = [(np.inf, 0)]
    for cut in range(768):
        low, high = bins[bins <= cut], bins[bins > cut]
        if len(low) and len(high):
            within.append((low.var() * len(low) + high.var() * len(high), cut))
    cut = min(within)[1]
    return cut, -1 + (cut + 1) / 256, float((bins > cut).mean())

def direct(src, dst):
    """Homography by the eight linear equations of its four points."""
    a, y = [], []
    for (u, v), (p, q) in zip(src, dst):
        a += [[u, v, 1, 0, 0, 0, -p * u, -p * v], [0, 0, 0, u, v, 1, -q * u, -q * v]]
        y += [p, q]
    return list(np.linalg.solve(np.array(a, float), np.array(y, float))) + [1.0]

def quad(seed, size):
    d = (draws(seed, 8) >> 16).astype(float) / 65536
    x, y = d[:4] * 0.3 * size, d[4:] * 0.3 * size
    return [[x[0], y[0]], [size - x[1], y[1]], [size - x[2], size - y[2]], [x[3], size - y[3]]]

thresholds = []
for seed in range(1, 31):
    rgb = pixels(seed, 3000)
    e = excess(rgb)
    cut, at, share = otsu(e)
    thresholds.append({"seed": seed, "mean": float(e.mean()), "cut": cut, "at": at, "share": share})

maps = []
for seed in range(1, 41):
    src, dst = quad(seed, 100), quad(seed + 500, 900)
    maps.append({"from": src, "to": dst, "h": [float(v) for v in direct(src, dst)]})

# Length error by a million throws of each point, one pixel SD across and down; the scale's two marks likewise.
rng = np.random.default_rng(7)
stem = np.array([[400., 900.], [420., 700.], [380., 520.], [410., 300.]])
marks = np.array([[100., 900.], [104., 300.]])
thrown = stem + rng.normal(size=(1_000_000, 4, 2))
ruler = marks + rng.normal(size=(1_000_000, 2, 2))
long = np.linalg.norm(np.diff(thrown, axis=1), axis=2).sum(axis=1)
scale = 120 / np.linalg.norm(np.diff(ruler, axis=1), axis=2)[:, 0]
length = {"stem": stem.tolist(), "marks": marks.tolist(), "apartMm": 120,
          "mm": float(np.linalg.norm(np.diff(stem, axis=0), axis=1).sum() * 120 / np.linalg.norm(marks[1] - marks[0])),
          "sdMm": float((long * scale).std())}

json.dump({"thresholds": thresholds, "maps": maps, "length": length}, open("imaging.json", "w"), indent=1)

# Makes studentized-range-scipy.json: python3 core/reference/studentized-range.py > core/reference/studentized-range-scipy.json
# SciPy 1.10.1 of Debian (python3-scipy): scipy.stats.studentized_range by adaptive integration.
import json
import pathlib
from scipy.stats import studentized_range

rows = [
    {"q": q, "groups": k, "df": df, "p": float(studentized_range.sf(q, k, df))}
    for q in (0.5, 1.5, 4.0, 9.0) for k in (2, 3, 4, 8) for df in (1.0, 1.3, 2.0, 3.4, 5.5, 30.0)
]
quantiles = [
    {"groups": k, "df": df, "q": float(studentized_range.isf(0.05, k, df))}
    for k in (2, 3, 4, 8) for df in (1.2, 2.0, 3.7, 12.0, 60.0)
]
cases = json.loads((pathlib.Path(__file__).parent / "statistics.json").read_text())
pairs = [
    {
        "name": case["name"],
        "p": [float(studentized_range.sf(pair["q"], len(case["groups"]), pair["df"])) for pair in case["pairs"]],
        "critical": [float(studentized_range.isf(0.05, len(case["groups"]), pair["df"])) for pair in case["pairs"]],
    }
    for case in cases
]
print(json.dumps({"tails": rows, "quantiles": quantiles, "pairs": pairs}, indent=1))

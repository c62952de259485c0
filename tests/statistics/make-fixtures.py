"""Makes statistics.json, against which the tests hold the measures. Needs SciPy (Debian: python3-scipy).

    /usr/bin/python3 tests/statistics/make-fixtures.py
"""

import json
from pathlib import Path

import numpy as np
from scipy import stats


def wilson(hits, n):
    ci = stats.binomtest(hits, n).proportion_ci(0.95, method="wilson")
    return [ci.low, ci.high]


def newcombe(a, n, b, m):
    """Newcombe 1998, method 10, from SciPy's Wilson intervals."""
    (l1, u1), (l2, u2) = wilson(a, n), wilson(b, m)
    d = a / n - b / m
    return [d - np.hypot(a / n - l1, u2 - b / m), d + np.hypot(u1 - a / n, b / m - l2)]


def population(first, second, both):
    """All populations that the hypergeometric distribution does not rule out, each tail at 2.5 %, the overlap counted half."""
    seen = first + second - both
    held = []
    for total in range(seen, 60_000):
        overlap = stats.hypergeom(total, first, second)
        below = overlap.cdf(both - 1) + overlap.pmf(both) / 2
        above = overlap.sf(both) + overlap.pmf(both) / 2
        if below > 0.025 and above > 0.025:
            held.append(total)
        elif held:
            break
    return {"first": first, "second": second, "both": both, "low": held[0], "high": held[-1]}


def kappa(table):
    t = np.array(table, dtype=float)
    n = t.sum()
    observed = np.trace(t) / n
    expected = (t.sum(axis=0) @ t.sum(axis=1)) / n**2
    return {"table": table, "observed": observed, "expected": expected, "kappa": (observed - expected) / (1 - expected)}


fixtures = {
    "made_with": f"SciPy {__import__('scipy').__version__}",
    "normal": [[x, stats.norm.cdf(x)] for x in (-4, -2.5, -1.96, -1, -0.3, 0, 0.1, 0.7, 1.645, 2.2, 3.3)],
    "mcnemar": [
        [b, c, stats.binomtest(b, b + c, 0.5).pvalue]
        for b, c in ((1, 8), (0, 5), (3, 3), (12, 30), (59, 121), (450, 550), (7, 2), (25, 10))
    ],
    "wilson": [[hits, n, *wilson(hits, n)] for hits, n in ((81, 263), (15, 148), (0, 20), (1, 29), (29, 29), (3, 7))],
    "newcombe": [
        [a, n, b, m, *newcombe(a, n, b, m)]
        for a, n, b, m in ((56, 70, 48, 80), (9, 10, 3, 10), (10, 10, 0, 20), (35, 40, 26, 40), (0, 10, 0, 20))
    ],
    "population": [
        population(*case) for case in ((3, 1, 1), (10, 15, 5), (8, 9, 7), (20, 20, 12), (40, 60, 20), (5, 5, 4), (12, 6, 1))
    ],
    "kappa": [kappa(t) for t in ([[88, 10, 2], [14, 40, 6], [18, 10, 12]], [[300, 20], [10, 70]], [[20, 5], [10, 15]])],
}
Path(__file__).with_name("statistics.json").write_text(json.dumps(fixtures, indent=1) + "\n")

"""Makes foreign-tables.json: tables as teachers make them, each with the true experiment that it holds.

Each experiment is made first, as plain pots with plain readings; then it is written down in one of the ways of school
tables. What a reader makes of the text must be the experiment again. Lengths are in millimetres.
"""
import json
import random
from datetime import date, timedelta

rng = random.Random(20261202)
FILES = []
SOWN = date(2026, 3, 2)


def days(*after):
    return [SOWN + timedelta(days=d) for d in after]


def heights(names, pots, dates, step=1.0, start=8.0, dead=(), late=()):
    """Pots in order of treatments: {treatment, readings: [(date, 'length', mm, state)]}."""
    made = []
    for k, name in enumerate(names):
        for p in range(pots):
            rate = rng.uniform(0.8, 1.2) * (1.5 + 0.9 * k)
            readings = []
            for i, d in enumerate(dates):
                number = len(made)
                if (number, i) in late:
                    readings.append((d, "length", None, "not_emerged"))
                elif any(number == n and i >= at for n, at in dead):
                    readings.append((d, "length", None, "dead"))
                else:
                    mm = start + rate * ((d - SOWN).days) + rng.uniform(-2, 2)
                    readings.append((d, "length", max(step, round(mm / step) * step), "emerged"))
            made.append({"treatment": name, "readings": readings})
    return made


def counts(names, dishes, dates, seeds=20, die=False):
    """Dishes with seeds up by each day."""
    made = []
    for k, name in enumerate(names):
        for _ in range(dishes):
            share = (0.45 + 0.2 * k) * rng.uniform(0.9, 1.1)
            up, readings = 0, []
            for i, d in enumerate(dates):
                up = min(seeds, max(up, round(seeds * share * min(1, (i + 1) / (len(dates) - 1)) + rng.uniform(-1, 1))))
                readings.append((d, "count", up, "emerged"))
            if die:
                readings[-1] = (readings[-1][0], "count", max(0, up - rng.choice([2, 3, 4])), "emerged")
            made.append({"treatment": name, "readings": readings, "seeds": seeds})
    return made


def number(value, decimals=1, comma=False, group=False):
    text = f"{value:.{decimals}f}"
    if group and value >= 1000:
        whole, _, part = text.partition(".")
        text = f"{int(whole):,}" + ("." + part if part else "")
    return text.replace(".", ",") if comma else text


def cm(mm, comma=False):
    return "" if mm is None else number(mm / 10, 1, comma)


def word(reading, text, words={"not_emerged": "not up", "dead": "dead"}):
    return words[reading[3]] if reading[2] is None else text(reading[2])


def quoted(cell):
    return '"' + cell.replace('"', '""') + '"' if any(c in cell for c in ',;"\n') else cell


def save(name, rows, pots, mark=",", answers=None, plain=False, sown=None, words=None):
    join = (lambda row: mark.join(str(c) for c in row)) if plain else (
        lambda row: mark.join(quoted(str(c)) if mark == "," else str(c) for c in row))
    true = [{"treatment": p["treatment"],
             "readings": [[str(d), kind, value, state] for d, kind, value, state in p["readings"]]} for p in pots]
    FILES.append({"name": name, "text": "\n".join(join(r) for r in rows) + "\n", "answers": answers or {},
                  **({"sownOn": str(sown)} if sown else {}), **({"words": words} if words else {}), "pots": true})


def refuse(name, rows, mark=",", answers=None, says=""):
    FILES.append({"name": name, "text": "\n".join(mark.join(str(c) for c in r) for r in rows) + "\n",
                  "answers": answers or {}, "refused": says})


def long(pots, head, line):
    return [head] + [line(n + 1, p, r) for n, p in enumerate(pots) for r in p["readings"]]


LANGUAGES = {
    "english": (["pot", "treatment", "date", "height (cm)"], lambda d: d.isoformat(), False, {}),
    "german": (["Topf", "Behandlung", "Datum", "Höhe (cm)"], lambda d: d.strftime("%d.%m.%Y"), True, {"not_emerged": "nicht gekeimt", "dead": "tot"}),
    "spanish": (["maceta", "tratamiento", "fecha", "altura (cm)"], lambda d: d.strftime("%d/%m/%Y"), True, {"not_emerged": "no germinado", "dead": "muerta"}),
    "french": (["godet", "traitement", "date", "hauteur (cm)"], lambda d: d.strftime("%d/%m/%Y"), True, {"not_emerged": "pas germé", "dead": "mort"}),
}
LATE = days(14, 19, 23)  # 16, 21, 25 March: the day is no month

# One value a row, in four languages, with commas in the decimals, and words for what was not measured.
for language, (head, dated, comma, words) in LANGUAGES.items():
    pots = heights(["ash", "loam", "sand"], 3, LATE, dead={(4, 2)}, late={(1, 0)})
    said = words or {"not_emerged": "not up", "dead": "dead"}
    rows = long(pots, head, lambda n, p, r: [n, p["treatment"], dated(r[0]), word(r, lambda v: cm(v, comma), said)])
    save(f"long-{language}", rows, pots, mark=";" if comma else ",")
    rows[0] = [h.upper() for h in rows[0]]
    save(f"long-{language}-capitals", rows, pots, mark="\t")

# A pot a column and a day a row; a pot a row and a day a column, in the same languages.
for language, (head, dated, comma, words) in LANGUAGES.items():
    pots = heights(["dim", "bright"], 4, LATE)
    names = [f"{p['treatment']} {n % 4 + 1}" for n, p in enumerate(pots)]
    rows = [[head[2]] + names] + [[dated(d)] + [cm(p["readings"][i][2], comma) for p in pots] for i, d in enumerate(LATE)]
    save(f"pots-across-{language}", rows, pots, mark=";", answers={"measured": "cm"})
    rows = [[head[0], head[1]] + [dated(d) for d in LATE]] + [
        [n + 1, p["treatment"]] + [cm(r[2], comma) for r in p["readings"]] for n, p in enumerate(pots)]
    save(f"days-across-{language}", rows, pots, mark=";", answers={"measured": "cm"})

# Days since sowing in three languages, weeks too.
for name, head in {"german": ["Topf", "Gruppe", "Tage nach Aussaat", "Höhe (mm)"], "spanish": ["maceta", "grupo", "días desde la siembra", "altura (mm)"],
                   "french": ["godet", "groupe", "jours après semis", "hauteur (mm)"], "weeks": ["pot", "group", "week", "height (mm)"]}.items():
    at = days(7, 14, 21)
    pots = heights(["early", "usual"], 3, at)
    tell = (lambda d: (d - SOWN).days // 7) if name == "weeks" else (lambda d: (d - SOWN).days)
    save(f"days-{name}", long(pots, head, lambda n, p, r: [n, p["treatment"], tell(r[0]), int(r[2])]), pots, sown=SOWN)

# Merged cells: what holds for several rows stands once.
for name, columns in {"treatment": (1,), "pot and treatment": (0, 1), "treatment, pot and date": (0, 1, 2)}.items():
    pots = heights(["mist", "pour", "wick"], 3, LATE)
    if name == "treatment":
        rows = [["pot", "treatment", "date", "height (cm)"]] + [
            [n + 1, p["treatment"], LATE[2], cm(p["readings"][2][2])] for n, p in enumerate(pots)]
        pots = [{**p, "readings": p["readings"][2:]} for p in pots]
    elif name.endswith("date"):
        rows = [["date", "treatment", "pot", "height (cm)"]] + [
            [d, p["treatment"], n + 1, cm(p["readings"][i][2])] for i, d in enumerate(LATE) for n, p in enumerate(pots)]
    else:
        rows = long(pots, ["pot", "treatment", "date", "height (cm)"], lambda n, p, r: [n, p["treatment"], r[0], cm(r[2])])
    last = {}
    for row in rows[1:]:
        for c in (0, 1) if name.endswith("date") else columns:
            same = last.get(c) == row[c]
            if not same:
                for other in list(last):
                    if other > c: last.pop(other)
            last[c] = row[c]
            if same: row[c] = ""
    save(f"merged-{name}", rows, pots)
pots = heights(["mist", "pour"], 4, LATE)
rows = [["Behandlung", "Topf"] + [d.strftime("%d.%m.%Y") for d in LATE]] + [
    ["" if n % 4 else p["treatment"], n + 1] + [cm(r[2], True) for r in p["readings"]] for n, p in enumerate(pots)]
save("merged-days-across-german", rows, pots, mark=";", answers={"measured": "cm"})

# Two rows of headings.
pots = heights(["clay", "grit"], 3, LATE)
flat = [p["readings"] for p in pots]
save("two-headings-treatment-over-pots",
     [["", "clay", "", "", "grit", "", ""], ["date", "Pot 1", "Pot 2", "Pot 3", "Pot 1", "Pot 2", "Pot 3"]] +
     [[d] + [cm(r[i][2]) for r in flat] for i, d in enumerate(LATE)], pots, answers={"measured": "cm"})
save("two-headings-treatment-repeated",
     [["", "clay", "clay", "clay", "grit", "grit", "grit"], ["date", "1", "2", "3", "4", "5", "6"]] +
     [[d] + [cm(r[i][2]) for r in flat] for i, d in enumerate(LATE)], pots, answers={"measured": "cm"})
both = [{**p, "readings": [x for r in p["readings"] for x in (r, (r[0], "count", int(r[2] // 20), "emerged"))]} for p in pots]
save("two-headings-date-over-measures",
     [["", ""] + [x for d in LATE for x in (d, "")], ["pot", "treatment"] + ["height (mm)", "leaves"] * 3] +
     [[n + 1, p["treatment"]] + [x for r in p["readings"] for x in (int(r[2]), int(r[2] // 20))] for n, p in enumerate(pots)], both)
save("two-headings-measures-over-dates",
     [["", "", "height (mm)", "", "", "leaves", "", ""], ["pot", "treatment"] + LATE * 2] +
     [[n + 1, p["treatment"]] + [int(r[2]) for r in p["readings"]] + [int(r[2] // 20) for r in p["readings"]]
      for n, p in enumerate(pots)], both)
save("two-headings-pots-over-measures",
     [[""] + [x for n in range(6) for x in (f"Pot {n + 1}", "")], ["date"] + ["height (mm)", "leaves"] * 6] +
     [[d] + [x for r in flat for x in (int(r[i][2]), int(r[i][2] // 20))] for i, d in enumerate(LATE)],
     [{**p, "treatment": "All alike"} for p in both])
save("two-headings-units-below",
     [["pot", "treatment", "date", "height", "weight"], ["", "", "", "mm", "g"]] +
     long(pots, [], lambda n, p, r: [n, p["treatment"], r[0], int(r[2]), number(r[2] / 30, 2)])[1:],
     [{**p, "readings": [x for r in p["readings"] for x in (r, (r[0], "number", round(r[2] / 30, 2), "emerged"))]} for p in pots])

# Rows and columns of means and totals, notes and headings that come again.
pots = heights(["east", "west"], 4, [LATE[2]])
def mean(ps): return sum(p["readings"][0][2] for p in ps) / len(ps) / 10
lines = [[n + 1, p["treatment"], LATE[2], cm(p["readings"][0][2])] for n, p in enumerate(pots)]
head = ["pot", "treatment", "date", "height (cm)"]
save("means-below-each-group", [head] + lines[:4] + [["mean", "", "", number(mean(pots[:4]), 2)]] + lines[4:] + [["mean", "", "", number(mean(pots[4:]), 2)]], pots)
save("means-named-by-group", [head] + lines + [["", "east mean", "", number(mean(pots[:4]), 2)], ["", "west mean", "", number(mean(pots[4:]), 2)]], pots)
save("mean-and-deviation-below", [head] + lines + [["Average", "", "", number(mean(pots), 2)], ["SD", "", "", "1.3"], ["n", "", "", "8"]][:2], pots)
save("mean-without-a-name", [head] + lines + [["", "", "", number(mean(pots), 2)]], pots)
save("note-below", [head] + lines + [["Pot 3 fell over on Friday.", "", "", ""]], pots)
save("headings-again", [head] + lines[:4] + [head] + lines[4:], pots)
save("german-mittelwert", [["Topf", "Behandlung", "Datum", "Höhe (cm)"]] + [[a, b, c.strftime("%d.%m.%Y"), d.replace(".", ",")] for a, b, c, d in lines] +
     [["Mittelwert", "", "", number(mean(pots), 2, True)]], pots, mark=";")
save("spanish-promedio", [["maceta", "tratamiento", "fecha", "altura (cm)"]] + [[a, b, c.strftime("%d/%m/%Y"), d.replace(".", ",")] for a, b, c, d in lines] +
     [["Promedio", "", "", number(mean(pots), 2, True)]], pots, mark=";")
pots = heights(["east", "west"], 3, LATE)
def row_mean(i): return number(sum(p["readings"][i][2] for p in pots) / 60, 2)
save("mean-column-of-pots", [["date"] + [f"{p['treatment']} {n % 3 + 1}" for n, p in enumerate(pots)] + ["Mean"]] +
     [[d] + [cm(p["readings"][i][2]) for p in pots] + [row_mean(i)] for i, d in enumerate(LATE)], pots, answers={"measured": "cm"})
save("mean-column-of-days", [["pot", "treatment"] + LATE + ["Average"]] +
     [[n + 1, p["treatment"]] + [cm(r[2]) for r in p["readings"]] + [number(sum(r[2] for r in p["readings"]) / 30, 2)]
      for n, p in enumerate(pots)], pots, answers={"measured": "cm"})
dishes = counts(["dark", "light"], 3, days(15, 17, 19, 22))
total = lambda i: sum(p["readings"][i][2] for p in dishes)
save("total-of-dishes", [["date"] + [f"{p['treatment']} dish {n % 3 + 1}" for n, p in enumerate(dishes)] + ["Total"]] +
     [[d] + [p["readings"][i][2] for p in dishes] + [total(i)] for i, d in enumerate(days(15, 17, 19, 22))], dishes)

# Turned round: headings down the side.
pots = heights(["tap", "rain"], 4, LATE)
save("turned-days", [["Pot"] + list(range(1, 9)), ["Treatment"] + [p["treatment"] for p in pots]] +
     [[d] + [cm(p["readings"][i][2]) for p in pots] for i, d in enumerate(LATE)], pots, answers={"measured": "cm"})
once = [{**p, "readings": p["readings"][2:]} for p in pots]
save("turned-one-day", [["Pot"] + list(range(1, 9)), ["Treatment"] + [p["treatment"] for p in once], ["Date"] + [LATE[2]] * 8,
     ["Height (cm)"] + [cm(p["readings"][0][2]) for p in once]], once)
save("turned-german", [["Topf"] + list(range(1, 9)), ["Behandlung"] + [p["treatment"] for p in once], ["Datum"] + [LATE[2].strftime("%d.%m.%Y")] * 8,
     ["Höhe (cm)"] + [cm(p["readings"][0][2], True) for p in once]], once, mark=";")

# Units: in a heading, in cells, in a column of their own.
pots = heights(["bare", "straw"], 3, LATE)
head = ["pot", "treatment", "date"]
line = lambda text: (lambda n, p, r: [n, p["treatment"], r[0], text(r[2], n)])
save("unit-in-cells-mm-below-cm", long(pots, head + ["height (cm)"], line(lambda v, n: f"{int(v)} mm" if n % 2 else cm(v))), pots)
save("unit-in-cells-only", long(pots, head + ["height"], line(lambda v, n: f"{cm(v)} cm")), pots)
save("unit-in-cells-mixed", long(pots, head + ["height"], line(lambda v, n: f"{cm(v)} cm" if n % 2 else f"{int(v)}mm")), pots)
save("unit-metres", long(pots, head + ["height (m)"], line(lambda v, n: number(v / 1000, 3))), pots)
save("unit-metres-in-cells", long(pots, head + ["height"], line(lambda v, n: f"{number(v / 1000, 3)} m")), pots)
save("unit-column", [head + ["height", "unit"]] + [[n + 1, p["treatment"], r[0]] + ([int(r[2]), "mm"] if n % 2 else [cm(r[2]), "cm"])
     for n, p in enumerate(pots) for r in p["readings"]], pots)
save("unit-column-german", [["Topf", "Behandlung", "Datum", "Höhe", "Einheit"]] + [[n + 1, p["treatment"], r[0].strftime("%d.%m.%Y"), int(r[2]), "mm"]
     for n, p in enumerate(pots) for r in p["readings"]], pots, mark=";")
save("unit-height-in-cm", long(pots, head + ["height in cm"], line(lambda v, n: cm(v))), pots)
save("unit-nowhere-mm", long(pots, head + ["height"], line(lambda v, n: int(v))), pots, answers={"measured": "mm"})
save("unit-nowhere-cm", long(pots, head + ["height"], line(lambda v, n: cm(v))), pots, answers={"measured": "cm"})
inches = [{**p, "readings": [(d, k, round(v / 25.4 * 4) / 4 * 25.4, s) for d, k, v, s in p["readings"]]} for p in heights(["bare", "straw"], 3, LATE, start=30)]
quarter = lambda v: (lambda q: (f"{q // 4} " if q >= 4 else "") + {0: "", 1: "1/4", 2: "1/2", 3: "3/4"}[q % 4])(round(v / 25.4 * 4)).strip()
save("unit-inches-in-quarters", long(inches, head + ["height (in)"], line(lambda v, n: quarter(v))), inches)
save("unit-inches-signs", long(inches, head + ["height"], line(lambda v, n: number(v / 25.4, 2) + "″")), inches)
save("unit-in-the-title", [["Heights of our plants in mm", "", "", ""]] + long(pots, head + ["value"], line(lambda v, n: int(v))), pots)

# Decimals.
pots = heights(["slow", "fast"], 3, LATE)
plain = lambda v, n: cm(v, True)
save("comma-unquoted", long(pots, head + ["height (cm)"], line(plain)), pots, plain=True)
save("comma-unquoted-two", [head + ["height (cm)", "weight (g)"]] + [[n + 1, p["treatment"], r[0], cm(r[2], True), number(r[2] / 30, 2, True)]
     for n, p in enumerate(pots) for r in p["readings"]],
     [{**p, "readings": [x for r in p["readings"] for x in (r, (r[0], "number", round(r[2] / 30, 2), "emerged"))]} for p in pots], plain=True)
save("comma-and-point-mixed", long(pots, head + ["height (cm)"], line(lambda v, n: cm(v, n % 2 == 0))), pots)
big = lambda pots, unit, scale: [{**p, "readings": [(d, "number", round(v * scale, 3), s) for d, k, v, s in p["readings"]]} for p in pots]
area = big(heights(["slow", "fast"], 3, LATE, start=40), "mm2", 20)
save("thousands-with-comma", long(area, head + ["leaf area (mm2)"], line(lambda v, n: number(v, 0, False, True))), area, answers={"decimal_mark": "point"})
save("thousands-with-comma-and-decimals", long(area, head + ["leaf area (mm2)"], line(lambda v, n: number(v, 1, False, True))), area)
save("thousands-with-point", long(area, head + ["leaf area (mm2)"], line(lambda v, n: number(v, 0, False, True).replace(",", "."))), area, mark=";", answers={"decimal_mark": "comma"})
save("thousands-with-space", long(area, head + ["leaf area (mm2)"], line(lambda v, n: number(v, 0, False, True).replace(",", " "))), area)
grams = [{**p, "readings": [(d, "number", round(1 + v / 97, 3), s) for d, k, v, s in p["readings"]]} for p in heights(["slow", "fast"], 3, LATE)]
save("three-decimals-with-comma", long(grams, head + ["fresh mass (g)"], line(lambda v, n: number(v, 3, True))), grams, mark=";", answers={"decimal_mark": "comma"})
save("three-decimals-with-point", long(grams, head + ["fresh mass (g)"], line(lambda v, n: number(v, 3))), grams, answers={"decimal_mark": "point"})
small = [{**p, "readings": [(d, "number", round(v / 120, 3), s) for d, k, v, s in p["readings"]]} for p in heights(["slow", "fast"], 3, LATE)]
small[0]["readings"][0] = (LATE[0], "number", 0.204, "emerged")
save("three-decimals-with-a-zero", long(small, head + ["fresh mass (g)"], line(lambda v, n: number(v, 3, True))), small, mark=";")

# Dates.
SOON = days(2, 5, 8)  # 4, 7, 10 March: the day may be a month
pots = heights(["red", "blue"], 3, SOON)
save("date-day-first", long(pots, head + ["height (mm)"], lambda n, p, r: [n, p["treatment"], r[0].strftime("%d/%m/%Y"), int(r[2])]), pots, answers={"date_order": "dmy"})
save("date-month-first", long(pots, head + ["height (mm)"], lambda n, p, r: [n, p["treatment"], r[0].strftime("%m/%d/%Y"), int(r[2])]), pots, answers={"date_order": "mdy"})
save("date-heads-month-first", [["pot", "treatment"] + [d.strftime("%-m/%-d/%y") for d in SOON]] +
     [[n + 1, p["treatment"]] + [int(r[2]) for r in p["readings"]] for n, p in enumerate(pots)], pots, answers={"date_order": "mdy", "measured": "mm"})
pots = heights(["red", "blue"], 3, LATE)
save("date-month-first-told", long(pots, head + ["height (mm)"], lambda n, p, r: [n, p["treatment"], r[0].strftime("%m/%d/%Y"), int(r[2])]), pots)
save("date-without-year", long(pots, head + ["height (mm)"], lambda n, p, r: [n, p["treatment"], r[0].strftime("%-d %B"), int(r[2])]), pots, answers={"year": "2026"})
save("date-heads-without-year", [["pot", "treatment"] + [d.strftime("%-d %b") for d in LATE]] +
     [[n + 1, p["treatment"]] + [int(r[2]) for r in p["readings"]] for n, p in enumerate(pots)], pots, answers={"year": "2026", "measured": "mm"})
save("date-german-without-year", [["Topf", "Behandlung"] + [d.strftime("%d.%m.") for d in LATE]] +
     [[n + 1, p["treatment"]] + [int(r[2]) for r in p["readings"]] for n, p in enumerate(pots)], pots, mark=";", answers={"year": "2026", "measured": "mm"})
save("date-german-words", long(pots, ["Topf", "Behandlung", "Datum", "Höhe (mm)"], lambda n, p, r: [n, p["treatment"], f"{r[0].day}. März 2026", int(r[2])]), pots)
save("sown-in-the-title", [["Radish diary, sown 2 March 2026", "", "", ""], ["", "", "", ""]] +
     long(pots, ["pot", "treatment", "day", "height (mm)"], lambda n, p, r: [n, p["treatment"], (r[0] - SOWN).days, int(r[2])]), pots)

# Counts: so far, new at each check, standing there.
AT = days(15, 17, 19, 22, 24)
def fresh(p): return [r[2] - (p["readings"][i - 1][2] if i else 0) for i, r in enumerate(p["readings"])]
dishes = counts(["cold", "warm"], 4, AT)
save("counts-so-far", [["dish", "treatment", "seeds", "date", "germinated"]] + [[n + 1, p["treatment"], 20, r[0], r[2]] for n, p in enumerate(dishes) for r in p["readings"]], dishes)
save("counts-new-said", [["dish", "treatment", "seeds", "date", "newly germinated"]] + [[n + 1, p["treatment"], 20, AT[i], v] for n, p in enumerate(dishes) for i, v in enumerate(fresh(p))], dishes)
save("counts-new-german", [["Schale", "Behandlung", "Samen", "Datum", "neu gekeimt"]] + [[n + 1, p["treatment"], 20, AT[i].strftime("%d.%m.%Y"), v] for n, p in enumerate(dishes) for i, v in enumerate(fresh(p))], dishes, mark=";")
save("counts-new-asked", [["dish", "treatment", "date", "germinated"]] + [[n + 1, p["treatment"], AT[i], v] for n, p in enumerate(dishes) for i, v in enumerate(fresh(p))],
     [{**p, "seeds": None} for p in dishes], answers={"counting": "new"})
standing = counts(["cold", "warm"], 4, AT, die=True)
save("counts-standing-said", [["dish", "treatment", "seeds", "date", "seedlings germinated and alive"]] + [[n + 1, p["treatment"], 20, r[0], r[2]] for n, p in enumerate(standing) for r in p["readings"]], standing)
save("counts-standing-told", [["dish", "treatment", "seeds", "date", "germinated"]] + [[n + 1, p["treatment"], 20, r[0], r[2]] for n, p in enumerate(standing) for r in p["readings"]], standing)
two = counts(["cold", "warm"], 2, AT[-2:])
save("counts-two-checks-asked", [["dish", "treatment", "date", "germinated"]] + [[n + 1, p["treatment"], r[0], r[2]] for n, p in enumerate(two) for r in p["readings"]], two, answers={"counting": "so_far"})
save("counts-dish-columns", [["treatment", "date"] + [f"Dish {i + 1}" for i in range(4)]] +
     [[t, d] + [p["readings"][i][2] for p in dishes if p["treatment"] == t] for t in ("cold", "warm") for i, d in enumerate(AT)], dishes)
save("counts-dish-columns-merged", [["treatment", "date"] + [f"Dish {i + 1}" for i in range(4)]] +
     [["" if i else t, d] + [p["readings"][i][2] for p in dishes if p["treatment"] == t] for t in ("cold", "warm") for i, d in enumerate(AT)], dishes)
save("counts-placas", [["tratamiento", "fecha"] + [f"Placa {i + 1}" for i in range(4)]] +
     [[t, d.strftime("%d/%m/%Y")] + [p["readings"][i][2] for p in dishes if p["treatment"] == t] for t in ("cold", "warm") for i, d in enumerate(AT)], dishes, mark=";")
pots = heights(["low", "high"], 4, LATE)
save("rep-columns", [["treatment", "date"] + [f"Rep {i + 1}" for i in range(4)]] +
     [[t, d] + [cm(p["readings"][i][2]) for p in pots if p["treatment"] == t] for t in ("low", "high") for i, d in enumerate(LATE)], pots, answers={"measured": "cm"})
save("rep-columns-one-day", [["treatment"] + [f"R{i + 1}" for i in range(4)]] +
     [[t] + [cm(p["readings"][0][2]) for p in pots if p["treatment"] == t] for t in ("low", "high")],
     [{**p, "readings": [(date(2026, 5, 29), "length", p["readings"][0][2], "emerged")]} for p in pots], answers={"measured": "cm"})
share = [{**p, "readings": [(d, "number", 5 * v, s) for d, k, v, s in p["readings"]]} for p in dishes]
save("percent-in-cells", [["dish", "treatment", "date", "germination"]] + [[n + 1, p["treatment"], r[0], f"{r[2]}%"] for n, p in enumerate(share) for r in p["readings"]], share)
save("percent-in-heading", [["dish", "treatment", "date", "germination %"]] + [[n + 1, p["treatment"], r[0], r[2]] for n, p in enumerate(share) for r in p["readings"]], share)

# Names that hold the treatment.
pots = heights(["W", "S"], 4, LATE)
coded = lambda pots, name: long(pots, ["pot", "date", "height (mm)"], lambda n, p, r: [name(n, p), r[0], int(r[2])])
save("names-code-at-end", coded(pots, lambda n, p: f"{'AB'[n % 2]}{n}-{p['treatment']}"), pots)
save("names-code-first", coded(pots, lambda n, p: f"{p['treatment']}-{n}"), pots)
save("names-letter-and-number", coded(pots, lambda n, p: f"{p['treatment']}{n}"), pots, answers={"names": "treatment"})
wordy = heights(["Salt", "Plain"], 4, LATE)
save("names-word-and-number", coded(wordy, lambda n, p: f"{p['treatment']} {n}"), wordy)
save("names-places", coded([{**p, "treatment": "All alike"} for p in pots], lambda n, p: f"{'AB'[(n - 1) // 4]}{(n - 1) % 4 + 1}"),
     [{**p, "treatment": "All alike"} for p in pots], answers={"names": "place"})
save("names-across", [["date"] + [f"{'AB'[n % 2]}{n}-{p['treatment']}" for n, p in enumerate(pots)]] +
     [[d] + [int(p["readings"][i][2]) for p in pots] for i, d in enumerate(LATE)], pots, answers={"measured": "mm"})

# Yes and no.
pots = heights(["near", "far"], 4, LATE, dead={(2, 2), (5, 1)})
last = {n: 40 for n in range(8)}
yes_no = lambda yes, no: [[n + 1, p["treatment"], r[0], "" if r[2] is None else int(r[2]), yes if r[3] == "dead" else no] for n, p in enumerate(pots) for r in p["readings"]]
save("dead-yes-no", [head + ["height (mm)", "Dead?"]] + yes_no("yes", "no"), pots)
save("dead-x", [head + ["height (mm)", "dead"]] + yes_no("x", ""), pots)
save("dead-german", [["Topf", "Behandlung", "Datum", "Höhe (mm)", "tot?"]] + [[a, b, c.strftime("%d.%m.%Y"), d, e] for a, b, c, d, e in yes_no("ja", "nein")], pots, mark=";")
save("alive-yes-no", [head + ["height (mm)", "Alive?"]] + yes_no("no", "yes"), pots)
up = heights(["near", "far"], 4, LATE, late={(0, 0), (3, 0), (6, 0), (6, 1)})
save("up-yes-no", [head + ["Germinated?"]] + [[n + 1, p["treatment"], r[0], "no" if r[2] is None else "yes"] for n, p in enumerate(up) for r in p["readings"]],
     [{**p, "readings": [(d, k, None, s) for d, k, v, s in p["readings"]]} for p in up])

# Blocks of rows under a name, titles above, no headings at all.
pots = heights(["open", "shut"], 3, LATE)
save("sections", [["pot", "date", "height (mm)"]] + [r for t in ("open", "shut") for r in [[t, "", ""]] +
     [[n + 1, x[0], int(x[2])] for n, p in enumerate(pots) if p["treatment"] == t for x in p["readings"]]], pots)
save("titles-above", [["Class 6B cress", "", "", ""], ["Made by", "the morning group", "", ""], ["", "", "", ""]] +
     long(pots, head + ["height (mm)"], lambda n, p, r: [n, p["treatment"], r[0], int(r[2])]), pots)
save("empty-columns-beside", [["", "", "", "", "", ""]] + [r + ["", ""] for r in long(pots, head + ["height (mm)"], lambda n, p, r: [n, p["treatment"], r[0], int(r[2])])], pots)

# Refused in words, as nobody can know.
pots = heights(["a", "b"], 3, LATE)
refuse("word-among-numbers", [head + ["height (mm)"], [1, "a", LATE[0], "tall"], [2, "b", LATE[0], 14]], says="a number")
refuse("formula-in-a-cell", [head + ["height (mm)"], [1, "a", LATE[0], "=B2*2"], [2, "b", LATE[0], "4"]], says="a number")
refuse("treatment-missing", [head + ["height (mm)"], [1, "a", LATE[0], 12], [2, "", LATE[0], 14], [3, "b", LATE[0], 15], [4, "b", LATE[0], 15]], says="treatment")
refuse("unit-of-mass-below-cm", [head + ["height (cm)"], [1, "a", LATE[0], "3 g"], [2, "b", LATE[0], 4]], says="a value in cm")
refuse("days-without-sowing", [["pot", "treatment", "day", "height (mm)"], [1, "a", 5, 12], [2, "b", 5, 14]], says="sowing day")
refuse("date-that-no-calendar-has", [head + ["height (mm)"], [1, "a", "31/4/2026", 12], [2, "b", "21/4/2026", 14]], says="date")

json.dump(FILES, open(__file__.replace(".py", ".json").replace("foreign_tables", "foreign-tables"), "w"), indent=0, ensure_ascii=False)
print(len(FILES), "files")

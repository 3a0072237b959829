# Makes compare.json, the values that core/src/statistics/compare-tests.test.ts is held to.
# R of Debian (r-base-core, r-cran-survival): Rscript core/reference/compare.R > core/reference/compare.json
suppressPackageStartupMessages(library(survival))
num <- function(x) { x <- as.numeric(x); s <- ifelse(is.finite(x), trimws(formatC(x, digits = 17, format = "g")), "null")
  if (length(s) == 1) s else paste0("[", paste(s, collapse = ","), "]") }
vec <- function(x) paste0("[", paste(trimws(formatC(as.numeric(x), digits = 17, format = "g")), collapse = ","), "]")
obj <- function(...) { l <- list(...); paste0("{", paste0('"', names(l), '":', unlist(l), collapse = ","), "}") }
arr <- function(l) paste0("[", paste(unlist(l), collapse = ","), "]")
str <- function(s) paste0('"', s, '"')
quiet <- function(e) suppressWarnings(e)

twoCases <- list(
  noTies = list(c(52.1, 61.4, 58.3, 49.9), c(71.2, 66.5, 80.8, 69.7, 64.6)),
  ties = list(c(10, 10, 10, 20), c(10, 20, 20, 30)),
  unequal = list(c(12.5, 30, 22), c(18, 19, 25, 31, 28, 40, 33, 27)),
  far = list(c(1, 2, 3, 4, 5, 6), c(11, 12, 13, 14, 15, 16)),
  pairOnly = list(c(4, 9), c(6, 14)),
  long = list(c(31.2,29.5,33.8,30.1,28.7,35.6,32.9,27.4,34.3,30.8,29.9,31.7), c(33.1,36.4,31.9,38.2,35.5,30.3,37.7,34.6,32.4,39.1,36.8,33.6,35.2))
)
permP <- function(a, b) { v <- c(a, b); n <- length(v); obs <- abs(mean(b) - mean(a)); idx <- combn(n, length(b))
  d <- apply(idx, 2, function(i) abs(mean(v[i]) - mean(v[-i]))); mean(d >= obs - 1e-9 * max(1, obs)) }
two <- lapply(names(twoCases), function(name) { a <- twoCases[[name]][[1]]; b <- twoCases[[name]][[2]]
  s <- t.test(b, a, var.equal = TRUE); isTied <- any(duplicated(c(a, b)))
  w <- quiet(wilcox.test(b, a, exact = !isTied)); df <- length(a) + length(b) - 2
  sp <- sqrt((sum((a - mean(a))^2) + sum((b - mean(b))^2)) / df)
  g <- (mean(b) - mean(a)) / sp * gamma(df / 2) / (sqrt(df / 2) * gamma((df - 1) / 2))
  obj(name = str(name), first = vec(a), second = vec(b), t = num(s$statistic), df = num(s$parameter), p = num(s$p.value),
      low = num(s$conf.int[1]), high = num(s$conf.int[2]), g = num(g), u = num(w$statistic), uP = num(w$p.value),
      permutationP = if (choose(length(a) + length(b), length(b)) <= 10000) num(permP(a, b)) else "null") })

pairCases <- list(plain = list(c(51, 60, 58, 49, 72), c(52.5, 61.2, 57.4, 50.3, 75.9)),
  zeros = list(c(10, 20, 30, 40, 50, 60), c(11, 20, 32, 39, 53, 62)), ties = list(c(5, 6, 7, 8), c(6, 7, 8, 10)))
paired <- lapply(names(pairCases), function(name) { a <- pairCases[[name]][[1]]; b <- pairCases[[name]][[2]]
  t <- t.test(b, a, paired = TRUE); d <- b - a; exact <- !any(d == 0) && !any(duplicated(abs(d)))
  w <- quiet(wilcox.test(b, a, paired = TRUE, exact = exact))
  obj(name = str(name), first = vec(a), second = vec(b), t = num(t$statistic), df = num(t$parameter), p = num(t$p.value),
      low = num(t$conf.int[1]), high = num(t$conf.int[2]), v = num(w$statistic), vP = num(w$p.value)) })

groupCases <- list(
  equal = list(c(52, 61, 58, 49), c(71, 66, 80, 69), c(40, 38, 47, 43)),
  unequal = list(c(12.5, 30, 22), c(18, 19, 25, 31, 28, 40), c(55, 51.5)),
  ties = list(c(10, 10, 10, 20), c(10, 20, 20, 20), c(30, 10, 10, 30), c(20, 20, 10, 40)),
  many = list(c(3.1, 4.2, 3.8), c(4.9, 5.3, 4.4), c(6.2, 5.8, 6.6), c(3.9, 4.1, 4.8), c(7.1, 6.9, 6.4)))
groups <- lapply(names(groupCases), function(name) { g <- groupCases[[name]]; y <- unlist(g); f <- factor(rep(seq_along(g), lengths(g)))
  a <- summary(aov(y ~ f))[[1]]; k <- kruskal.test(y, f)
  z <- abs(y - ave(y, f, FUN = median)); bf <- summary(aov(z ~ f))[[1]]
  r <- rank(y); n <- length(y); ties <- table(y); corr <- 1 - sum(ties^3 - ties) / (n^3 - n); m <- tapply(r, f, mean)
  zs <- c(); for (i in 1:(length(g) - 1)) for (j in (i + 1):length(g))
    zs <- c(zs, (m[[j]] - m[[i]]) / sqrt(n * (n + 1) / 12 * corr * (1 / length(g[[i]]) + 1 / length(g[[j]]))))
  obj(name = str(name), groups = arr(lapply(g, vec)), f = num(a$`F value`[1]), df1 = num(a$Df[1]), df2 = num(a$Df[2]), p = num(a$`Pr(>F)`[1]),
      h = num(k$statistic), hP = num(k$p.value), levene = num(bf$`F value`[1]), leveneP = num(bf$`Pr(>F)`[1]),
      dunnZ = vec(zs), dunnP = vec(p.adjust(2 * pnorm(-abs(zs)), "holm")), mse = num(a$`Mean Sq`[2]),
      tukeyP = vec(TukeyHSD(aov(y ~ f))$f[, "p adj"])) })

# Crossed designs: type II by comparing nested models, type III by dropping from the full sum-to-zero model.
crossed <- function(name, y, levels, block = NULL) {
  d <- as.data.frame(lapply(levels, factor)); names(d) <- LETTERS[seq_along(levels)]; d$y <- y
  base <- "1"; if (!is.null(block)) { d$block <- factor(block); base <- "block" }
  fs <- LETTERS[seq_along(levels)]; sets <- unlist(lapply(seq_along(fs), function(k) combn(fs, k, simplify = FALSE)), recursive = FALSE)
  term <- function(s) paste(s, collapse = ":")
  model <- function(ss, b = base) lm(as.formula(paste("y ~", paste(c(b, vapply(ss, term, "")), collapse = "+"))), data = d)
  full <- model(sets); mse <- deviance(full) / df.residual(full)
  line <- function(without, within) { ss <- deviance(without) - deviance(within); df <- df.residual(without) - df.residual(within)
    f <- ss / df / mse; obj(squares = num(ss), df = num(df), f = num(f), p = num(pf(f, df, df.residual(full), lower.tail = FALSE))) }
  two <- lapply(sets, function(s) { before <- Filter(function(o) !identical(o, s) && !all(s %in% o), sets); line(model(before), model(c(before, list(s)))) })
  if (!is.null(block)) two <- c(list(line(model(sets, "1"), full)), two)
  empty <- any(table(d[fs]) == 0)
  three <- "[]"
  if (!empty) { options(contrasts = c("contr.sum", "contr.poly")); m <- model(sets); t3 <- drop1(m, . ~ ., test = "F")
    rows <- vapply(sets, term, ""); three <- arr(lapply(rows, function(r) obj(squares = num(t3[r, "Sum of Sq"]), f = num(t3[r, "F value"]), p = num(t3[r, "Pr(>F)"]))))
    options(contrasts = c("contr.treatment", "contr.poly")) }
  obj(name = str(name), values = vec(y), levels = arr(lapply(seq_along(y), function(i) vec(vapply(levels, function(l) l[i], 0)))),
      blocks = if (is.null(block)) "null" else vec(block), typeTwo = arr(two), typeThree = three,
      errorSquares = num(deviance(full)), errorDf = num(df.residual(full))) }
set.seed(4)
y12 <- c(5.1, 5.9, 4.8, 7.2, 6.6, 7.9, 4.2, 3.9, 4.4, 9.1, 8.3, 8.8)
fact <- list(
  crossed("balanced", y12, list(rep(0:1, each = 6), rep(0:1, times = 6))),
  crossed("unbalanced", y12[-c(2, 9)], list(rep(0:1, each = 6)[-c(2, 9)], rep(c(0, 0, 0, 1, 1, 1), 2)[-c(2, 9)])),
  crossed("blocked", y12, list(rep(c(0, 0, 0, 1, 1, 1), 2), rep(0:1, each = 6)), rep(0:2, 4)),
  crossed("three factors", round(rnorm(24, 20, 3), 2), list(rep(0:1, 12), rep(c(0, 0, 1, 1, 2, 2), 4), rep(0:1, each = 12))),
  crossed("three, unbalanced", c(round(rnorm(22, 30, 5), 1)), list(rep(0:1, 12)[-c(3, 20)], rep(c(0, 0, 1, 1, 2, 2), 4)[-c(3, 20)], rep(0:1, each = 12)[-c(3, 20)])),
  crossed("missing cell", c(4.1, 4.9, 5.2, 6.3, 6.6, 5.9, 7.7, 8.1, 7.2, 3.3), list(c(0, 0, 0, 0, 1, 1, 1, 1, 2, 2), c(0, 0, 1, 1, 0, 0, 1, 1, 0, 0))))

tables <- list(list(c(8, 2), c(1, 9)), list(c(10, 0), c(6, 4)), list(c(3, 7, 2), c(6, 1, 5)), list(c(4, 0), c(2, 2), c(0, 4)), list(c(12, 5, 3), c(4, 9, 6), c(1, 7, 13)))
tab <- lapply(tables, function(t) { m <- do.call(rbind, t); f <- fisher.test(m); c2 <- quiet(chisq.test(m, correct = FALSE))
  obj(table = arr(lapply(t, vec)), fisherP = num(f$p.value), chiSquare = num(c2$statistic), df = num(c2$parameter), p = num(c2$p.value), smallest = num(min(c2$expected))) })
wil <- function(x, n) prop.test(x, n, correct = FALSE)$conf.int
diffs <- lapply(list(c(8, 10, 1, 10), c(56, 70, 48, 80), c(0, 10, 0, 20), c(10, 10, 7, 9)), function(v) {
  a <- quiet(wil(v[1], v[2])); b <- quiet(wil(v[3], v[4])); pa <- v[1] / v[2]; pb <- v[3] / v[4]; d <- pb - pa
  obj(counts = vec(v), difference = num(d), low = num(d - sqrt((pb - b[1])^2 + (a[2] - pa)^2)), high = num(d + sqrt((b[2] - pb)^2 + (pa - a[1])^2))) })
binom <- lapply(list(c(14, 20, .85), c(0, 12, .3), c(20, 20, .9), c(9, 30, .5), c(77, 100, .8)), function(v)
  obj(counts = vec(v), p = num(binom.test(v[1], v[2], v[3])$p.value)))

shapes <- list(c(5.1, 5.9, 4.8, 7.2, 6.6), c(1, 2, 10), c(2.1, 2.2, 2.4, 9.9, 2.3, 2.2, 2.5), c(4, 7, 6, 5, 8, 6.5, 5.5, 9, 3, 6.2, 7.1, 5.8), twoCases$long[[1]], c(twoCases$long[[1]], twoCases$long[[2]]), c(1, 1, 2, 2), c(3, 5, 4, 9))
shapiro <- lapply(shapes, function(x) { s <- shapiro.test(x); obj(values = vec(x), w = num(s$statistic), p = num(s$p.value)) })

xy <- list(list(c(1, 2, 3, 4, 5, 6), c(2.1, 3.9, 6.2, 7.8, 10.1, 11.7)), list(c(0, 1, 2, 4, 8), c(9, 7, 7.5, 4, 1)), list(c(1, 1, 2, 2, 3), c(4, 5, 5, 6, 4)))
lines <- lapply(xy, function(v) { m <- lm(v[[2]] ~ v[[1]]); s <- summary(m); ci <- confint(m)[2, ]; c1 <- cor.test(v[[1]], v[[2]])
  r <- cor(rank(v[[1]]), rank(v[[2]])); n <- length(v[[1]])
  obj(x = vec(v[[1]]), y = vec(v[[2]]), intercept = num(coef(m)[1]), slope = num(coef(m)[2]), se = num(s$coefficients[2, 2]), low = num(ci[1]), high = num(ci[2]),
      sigma = num(s$sigma), r2 = num(s$r.squared), p = num(s$coefficients[2, 4]), r = num(c1$estimate), rLow = num(c1$conf.int[1]), rHigh = num(c1$conf.int[2]),
      rho = num(r), rhoP = num(2 * pt(-abs(r * sqrt((n - 2) / (1 - r^2))), n - 2))) })

km <- function(name, time, status, group) { groups <- lapply(sort(unique(group)), function(g) {
    s <- survfit(Surv(time[group == g], status[group == g]) ~ 1, conf.type = "log-log"); keep <- s$n.event > 0; q <- quantile(s, 0.5)
    obj(times = vec(time[group == g]), happened = vec(status[group == g]), at = vec(s$time[keep]), waiting = vec(s$surv[keep]), low = num(c(s$lower[keep], NA)), high = num(c(s$upper[keep], NA)),
        median = num(q$quantile), medianLow = num(q$lower), medianHigh = num(q$upper)) })
  d <- survdiff(Surv(time, status) ~ group)
  obj(name = str(name), groups = arr(groups), chiSquare = num(d$chisq), df = num(length(d$n) - 1), p = num(pchisq(d$chisq, length(d$n) - 1, lower.tail = FALSE))) }
surv <- list(
  km("two", c(5, 6, 6, 7, 8, 20, 7, 8, 9, 9, 20, 20), c(1, 1, 1, 1, 1, 0, 1, 1, 1, 1, 0, 0), rep(1:2, each = 6)),
  km("three, uneven", c(4, 4, 5, 6, 12, 5, 7, 7, 9, 12, 12, 6, 8, 11, 12), c(1, 1, 1, 1, 0, 1, 1, 1, 1, 0, 0, 1, 1, 1, 0), c(rep(1, 5), rep(2, 6), rep(3, 4))),
  km("early end", c(3, 3, 5, 6, 2, 8, 10, 10), c(1, 0, 1, 0, 1, 1, 0, 0), rep(1:2, each = 4)))

curve <- function(name, x, y, kind) {
  st <- if (kind == "logistic") { c0 <- coef(nls(y ~ SSlogis(x, A, m, s))); list(L = c0[["A"]], k = 1 / c0[["s"]], m = c0[["m"]]) }
    else { c0 <- coef(nls(y ~ SSgompertz(x, A, b, c))); list(L = c0[["A"]], k = -log(c0[["c"]]), m = log(c0[["b"]]) / -log(c0[["c"]])) }
  shape <- if (kind == "logistic") deriv(~ L / (1 + exp(-k * (x - m))), c("L", "k", "m"), function(L, k, m, x) NULL)
    else deriv(~ L * exp(-exp(-k * (x - m))), c("L", "k", "m"), function(L, k, m, x) NULL)
  # nls stops at its own tolerance; Gauss-Newton steps with lm.fit take it to the end.
  m <- nls(y ~ shape(L, k, m, x), start = st); e <- coef(m)
  for (i in 1:60) { v <- do.call(shape, c(as.list(unname(e)), list(x))); e <- e + qr.coef(qr(attr(v, "gradient")), y - v) }
  v <- do.call(shape, c(as.list(unname(e)), list(x))); J <- attr(v, "gradient"); n <- length(y); rss <- sum((y - v)^2); K <- 4
  se <- sqrt(diag(solve(crossprod(J))) * rss / (n - 3))
  stopifnot(all(abs(e / coef(m) - 1) < 1e-4))
  obj(name = str(name), kind = str(kind), x = vec(x), y = vec(y), estimates = vec(e), errors = vec(se), sigma = num(sqrt(rss / (n - 3))),
      aicc = num(n * log(rss / n) + 2 * K + 2 * K * (K + 1) / (n - K - 1))) }
x1 <- c(4, 5, 6, 8, 9, 11, 12, 13, 15, 16, 18, 20)
y1 <- c(4, 7, 11, 24, 33, 55, 66, 76, 92, 98, 106, 111)
x2 <- c(3, 5, 7, 9, 10, 12, 14, 17, 19, 21, 24)
y2 <- c(2.5, 8, 19, 33, 41, 57, 70, 88, 95, 101, 109)
fits <- list(curve("smooth", x1, y1, "logistic"), curve("smooth", x1, y1, "gompertz"), curve("slow end", x2, y2, "gompertz"), curve("slow end", x2, y2, "logistic"),
  curve("rough", x1, y1 + c(3, -2, 4, -5, 6, -4, 5, -3, 2, -4, 3, -2), "logistic"))
# Indices of germination from the days of single seeds.
germ <- function(name, day, newly, sown) { t <- rep(day, newly); N <- length(t); cum <- cumsum(newly)
  half <- function(w) { i <- which(cum >= w)[1]; a <- if (i == 1) c(0, 0) else c(day[i - 1], cum[i - 1]); a[1] + (w - a[2]) * (day[i] - a[1]) / (cum[i] - a[2]) }
  f <- table(t) / N; daily <- identical(as.numeric(day), as.numeric(seq_along(day))); T <- max(day); w <- quiet(prop.test(N, sown, correct = FALSE))$conf.int
  obj(name = str(name), day = vec(day), newly = vec(newly), sown = num(sown), final = num(N / sown), low = num(w[1]), high = num(w[2]), first = num(min(t)), last = num(max(t)),
      meanTime = num(mean(t)), variance = num(var(t)), cv = num(sd(t) / mean(t)), meanRate = num(1 / mean(t)), velocity = num(100 * N / sum(t)), t50 = num(half(N / 2)), t50Coolbear = num(half((N + 1) / 2)),
      speed = num(sum(1 / t)), timson = num(sum(100 * cum / sown)), index = if (daily) num(sum(T + 1 - t)) else "null",
      synchrony = num(sum(choose(table(t), 2)) / choose(N, 2)), uncertainty = num(-sum(f * log2(f)))) }
germination <- list(germ("daily", 1:8, c(0, 0, 2, 5, 7, 3, 0, 1), 20), germ("uneven", c(2, 4, 5, 8, 11), c(1, 6, 3, 0, 4), 25), germ("all at once", c(3, 6), c(0, 9), 12), germ("two seeds", c(4, 5, 9), c(1, 0, 1), 10))
cat(obj(two = arr(two), paired = arr(paired), groups = arr(groups), crossed = arr(fact), tables = arr(tab), differences = arr(diffs), binomial = arr(binom),
  shapiro = arr(shapiro), lines = arr(lines), survival = arr(surv), fits = arr(fits), germination = arr(germination)), "\n")

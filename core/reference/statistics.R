# Makes statistics.json, the values that the tests of core/src/statistics are held to.
# R 4.2.2 of Debian (r-base-core): Rscript core/reference/statistics.R > core/reference/statistics.json
# Pairs hold the difference, q and df of Games and Howell; their p and critical values come from
# studentized-range.py, as R's ptukey and qtukey are coarse at so few degrees of freedom.
num <- function(x) if (length(x) == 1) trimws(formatC(x, digits = 17, format = "g")) else
  paste0("[", paste(trimws(formatC(x, digits = 17, format = "g")), collapse = ","), "]")
obj <- function(...) { l <- list(...); paste0("{", paste0('"', names(l), '":', unlist(l), collapse = ","), "}") }
arr <- function(l) paste0("[", paste(unlist(l), collapse = ","), "]")

cases <- list(
  equal = list(c(52, 61, 58, 49), c(71, 66, 80, 69), c(40, 38, 47, 43)),
  unequal = list(c(12.5, 30, 22), c(18, 19, 25, 31, 28, 40), c(55, 51.5)),
  two = list(c(63.5, 76.2, 57.15, 69.85, 82.55), c(95.25, 88.9, 107.95, 101.6)),
  ties = list(c(10, 10, 10, 20), c(10, 20, 20, 20), c(30, 10, 10, 30), c(20, 20, 10, 40)),
  withZeros = list(c(0, 0, 31, 28), c(45, 0, 52, 49, 38)),
  nearlyFlat = list(c(100, 100.0001, 100), c(100, 100, 100.0002))
)
describeCase <- function(x) {
  ci <- t.test(x)$conf.int
  obj(values = num(x), mean = num(mean(x)), median = num(median(x)), sd = num(sd(x)),
      lowerQuartile = num(unname(quantile(x, .25))), upperQuartile = num(unname(quantile(x, .75))),
      low = num(ci[1]), high = num(ci[2]))
}
pairCase <- function(g, i, j) {
  a <- g[[i]]; b <- g[[j]]; va <- var(a) / length(a); vb <- var(b) / length(b)
  df <- (va + vb)^2 / (va^2 / (length(a) - 1) + vb^2 / (length(b) - 1))
  d <- mean(b) - mean(a); q <- abs(d) / sqrt((va + vb) / 2)
  obj(first = i - 1, second = j - 1, difference = num(d), q = num(q), df = num(df))
}
groupCase <- function(name) {
  g <- cases[[name]]; k <- length(g)
  y <- unlist(g); f <- factor(rep(seq_along(g), lengths(g)))
  w <- oneway.test(y ~ f)
  pairs <- list(); for (i in 1:(k - 1)) for (j in (i + 1):k) pairs <- c(pairs, pairCase(g, i, j))
  t <- t.test(g[[2]], g[[1]])
  obj(name = paste0('"', name, '"'), groups = arr(lapply(g, num)),
      describe = arr(lapply(g, describeCase)),
      welchT = obj(difference = num(mean(g[[2]]) - mean(g[[1]])), t = num(unname(t$statistic)),
                   df = num(unname(t$parameter)), p = num(t$p.value),
                   low = num(t$conf.int[1]), high = num(t$conf.int[2])),
      welchAnova = obj(f = num(unname(w$statistic)), df1 = num(unname(w$parameter[1])),
                       df2 = num(unname(w$parameter[2])), p = num(w$p.value)),
      pairs = arr(pairs))
}
cat(arr(lapply(names(cases), groupCase)), "\n")

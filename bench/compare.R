# The tests that Compare makes of an experiment, by R, for the bench: times `rounds` of them and prints the seconds of
# one. Reads unit, group, block, team, age, state and value from a file for each variable.
suppressPackageStartupMessages(library(survival))
args <- commandArgs(trailingOnly = TRUE)
rounds <- as.integer(args[1]); variables <- lapply(args[-1], read.csv)
quiet <- function(e) suppressWarnings(try(e, silent = TRUE))
once <- function(d) {
  last <- max(d$age); day <- d[d$age == last & !is.na(d$value), ]; day$group <- factor(day$group)
  g <- split(day$value, day$group)
  lapply(g, function(v) { quantile(v); quiet(t.test(v)) })
  quiet(oneway.test(value ~ group, day)); a <- aov(value ~ group, day); summary(a); quiet(TukeyHSD(a)); kruskal.test(value ~ group, day)
  quiet(shapiro.test(residuals(a)))
  m <- combn(length(g), 2)
  apply(m, 2, function(i) { x <- g[[i[1]]]; y <- g[[i[2]]]; quiet(t.test(x, y)); quiet(t.test(x, y, var.equal = TRUE)); quiet(wilcox.test(x, y))
    v <- c(x, y); idx <- combn(length(v), length(y)); mean(abs(apply(idx, 2, function(k) mean(v[k]) - mean(v[-k]))) >= abs(mean(y) - mean(x))) })
  b <- lm(value ~ block + group, day); quiet(drop1(b, test = "F")); quiet(anova(lm(value ~ team + group, day)))
  up <- tapply(d$state == "up", d$unit, any); ug <- tapply(as.character(d$group), d$unit, `[`, 1)
  quiet(fisher.test(table(ug, up))); quiet(chisq.test(table(ug, up)))
  first <- tapply(ifelse(d$state == "up", d$age, NA), d$unit, min, na.rm = TRUE); t <- ifelse(is.finite(first), first, last)
  quiet(survfit(Surv(t, is.finite(first)) ~ ug)); quiet(survdiff(Surv(t, is.finite(first)) ~ ug))
  fit <- function(x, y) { quiet(nls(y ~ SSlogis(x, A, m, s))); quiet(nls(y ~ SSgompertz(x, A, b, c))) }
  for (u in split(d[!is.na(d$value), ], d$unit[!is.na(d$value)])) { fit(u$age, u$value); diff(u$value) / diff(u$age); if (nrow(u) > 2) lm(log(pmax(value, .1)) ~ age, u) }
  means <- aggregate(value ~ group + age, d, mean); sds <- aggregate(value ~ group + age, d, sd)
  for (k in split(means, means$group)) { fit(k$age, k$value); lm(value ~ age, k) }
}
all <- function() lapply(variables, once)
invisible(all()); t <- system.time(for (i in seq_len(rounds)) all())[["elapsed"]]
cat(t / rounds, "\n")

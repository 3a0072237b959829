# Makes studentized-range-r.json: Rscript core/reference/studentized-range.R > core/reference/studentized-range-r.json
# R 4.2.2 of Debian. With few degrees of freedom ptukey is only good to 1e-3 (two groups and 2 degrees are
# Student's t, where 0.4 comes out as 0.39998) and below 2 it refuses; studentized-range.py covers those.
grid <- expand.grid(q = c(0.5, 1.5, 3, 4.5, 6, 9), groups = c(2, 3, 4, 8), df = c(15, 27.5, 120))
p <- ptukey(grid$q, grid$groups, grid$df, lower.tail = FALSE)
rows <- sprintf('{"q":%.17g,"groups":%d,"df":%.17g,"p":%.17g}', grid$q, as.integer(grid$groups), grid$df, p)
cat("[", paste(rows, collapse = ",\n"), "]\n", sep = "")

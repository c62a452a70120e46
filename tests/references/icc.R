# Intraclass correlations by the package psych. Input on standard input: a table without header, a row a subject. Prints
# one line a kind: value, lower and upper bound at 95 %.
suppressPackageStartupMessages(library(psych))
x <- as.matrix(read.table(file("stdin")))
r <- ICC(x, lmer = FALSE)$results
for (kind in c("ICC2", "ICC3")) {
  row <- r[r$type == kind, ]
  cat(row$ICC, row$`lower bound`, row$`upper bound`, "\n")
}

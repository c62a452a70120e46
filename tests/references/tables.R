# One of: adjust (numbers), falling (values then weights, two lines), kappa (pairs of words, a line each). On standard
# input; prints numbers with spaces between. R's p.adjust, isoreg on repeated values, and cohen.kappa of psych.
what <- commandArgs(trailingOnly = TRUE)[1]
input <- readLines(file("stdin"))
if (what == "adjust") {
  cat(p.adjust(as.numeric(strsplit(input[1], " ")[[1]]), "BH"), "\n")
} else if (what == "falling") {
  v <- as.numeric(strsplit(input[1], " ")[[1]]); w <- as.integer(strsplit(input[2], " ")[[1]])
  # A weight n is the value n times; isoreg rises, so everything is turned over.
  fit <- -isoreg(-rep(v, w))$yf
  cat(fit[cumsum(w)], "\n")
} else {
  suppressPackageStartupMessages(library(psych))
  x <- do.call(rbind, strsplit(input, " "))
  k <- cohen.kappa(x)
  cat(k$kappa, sqrt(k$var.kappa), "\n")
}

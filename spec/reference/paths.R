# Degradation paths of others, for bin/bench paths. Run: Rscript spec/reference/paths.R > spec/reference/paths.json
#
# Crack growth of 21 metal specimens: relative length after so many million cycles (data set Fatigue of R's package nlme,
# after Lu and Meeker 1993).
data(Fatigue, package = "nlme")
show <- function(x) paste0("[", paste(sprintf("%.6g", x), collapse = ", "), "]")
paths <- lapply(split(Fatigue, as.integer(as.character(Fatigue$Path))), function(p)
  sprintf('    { "cycles": %s, "length": %s }', show(p$cycles), show(p$relLength)))
cat(sprintf('{\n  "fatigue": [\n%s\n  ]\n}\n', paste(unlist(paths), collapse = ",\n")))

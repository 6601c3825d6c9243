# Independent answers for the forecast's core, worked out in R by numerical integration.
# Run: Rscript spec/reference/wear.R > spec/reference/wear.json
#
# One component that is new (known exactly) at 0 km; rate lognormal(log(median), sd) mm per km; increments normal with
# mean rate*d and variance increment*rate*d (the normal form of a gamma process); readings normal. No drift, no outliers.
# Chance of having passed the limit after d from the last reading's odometer, by integrating over the rate, the
# thickness followed by the exact conditional normal distribution.
life <- function(new, limit, km, read, u, median, sd, increment, p = c(.05, .1, .25, .5, .75, .9, .95)) {
  rate <- exp(seq(log(median) - 5 * sd, log(median) + 5 * sd, length.out = 20001))
  m <- rep(new, length(rate)); v <- rep(0, length(rate)); ll <- dnorm(log(rate), log(median), sd, log = TRUE); at <- 0
  for (i in seq_along(km)) {
    d <- km[i] - at; at <- km[i]
    m <- m - rate * d; v <- v + increment * rate * d
    s <- v + u[i]^2
    ll <- ll + dnorm(read[i], m, sqrt(s), log = TRUE)
    k <- v / s; m <- m + k * (read[i] - m); v <- v * (1 - k)
  }
  w <- exp(ll - max(ll)); w <- w / sum(w)
  passed <- function(d) sum(w * pnorm((limit - (m - rate * d)) / sqrt(v + increment * rate * d)))
  sapply(p, function(q) uniroot(function(d) passed(d) - q, c(1e-6, 1e6), tol = 1e-4)$root)
}
# Degradation of five units at 65 degrees, percent lost after 200, 500 and 1000 hours; failed at 30 percent. The readings
# are those of the degradation example in the NIST/SEMATECH e-Handbook of Statistical Methods, chapter 8, written down
# from memory. Time to 30 percent by least squares through the origin, as the handbook does it.
hours <- c(200, 500, 1000)
units <- list(c(.87, 1.48, 2.81), c(.33, .96, 2.13), c(.94, 2.91, 5.67), c(.72, 1.98, 4.28), c(.66, .99, 2.14))
failure <- sapply(units, function(y) 30 / coef(lm(y ~ 0 + hours)))
show <- function(x) paste0("[", paste(sprintf("%.6g", x), collapse = ", "), "]")
cat(sprintf('{\n  "one_reading": %s,\n  "three_readings": %s,\n  "handbook_hours_to_failure": %s,\n  "gamma_passage": %s,\n  "normal_quantiles": %s,\n  "range_points": %s,\n  "chi_squared_point": %s\n}\n',
  show(life(11, 3, 20000, 8.5, .15, .141e-3, .63, .03)),
  show(life(11, 3, c(10000, 22000, 35000), c(9.8, 8.1, 6.2), c(.15, .15, .15), .141e-3, .63, .03)),
  show(failure),
  # first passage of a gamma process with mean 0.14 mm and variance 0.03 x mean per 1,000 km through 8 mm, in 1,000 km
  show(sapply(c(.05, .5, .95), function(q) uniroot(function(d) pgamma(8, shape = .14 * d / .03, scale = .03, lower.tail = FALSE) - q, c(1, 500), tol = 1e-8)$root)),
  show(qnorm(c(.05, .25, .9))),
  # 5 % points of the range of 2 to 12 readings, in standard deviations; 99.9 % point with four degrees of freedom
  show(qtukey(.95, 2:12, Inf)),
  show(qchisq(.999, 4))))

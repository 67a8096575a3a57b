# The same splits with R's naive Bayes, rpart and randomForest. Arguments: CSV with a last column "fold".
suppressMessages({library(e1071); library(rpart); library(randomForest)})
d <- read.csv(commandArgs(TRUE)[1], colClasses = "character", na.strings = "")
fold <- as.integer(d$fold); d$fold <- NULL
d[] <- lapply(d, factor)
filled <- d # randomForest takes no gaps: a gap is a level of its own
filled[-1] <- lapply(filled[-1], function(x) { x <- addNA(x, ifany = TRUE); levels(x)[is.na(levels(x))] <- "gap"; x })
set.seed(1)
passes <- 20 # as many as ours, one straight after the other
right <- c(nb = 0, rpart = 0, rf = 0); micros <- 0
for (k in 0:9) {
  test <- fold == k
  nb <- naiveBayes(Class ~ ., d[!test, ], laplace = 1)
  t0 <- proc.time()[["elapsed"]]; for (i in seq_len(passes)) p <- predict(nb, d[test, ]); micros <- micros + (proc.time()[["elapsed"]] - t0) * 1e6 / passes
  right["nb"] <- right["nb"] + sum(p == d$Class[test])
  right["rpart"] <- right["rpart"] + sum(predict(rpart(Class ~ ., d[!test, ]), d[test, ], type = "class") == d$Class[test])
  right["rf"] <- right["rf"] + sum(predict(randomForest(Class ~ ., filled[!test, ]), filled[test, ]) == d$Class[test])
}
cat(right / nrow(d), micros / nrow(d), "\n")

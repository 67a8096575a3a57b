// Prints "PASSED FAILED" from a report of Jest or Playwright.
import { readFileSync } from 'node:fs';

const report = JSON.parse(readFileSync(process.argv[2], 'utf8'));
if (report.numTotalTests !== undefined) {
  // a file that did not run at all counts as one failure
  console.log(report.numPassedTests, report.numFailedTests + report.numRuntimeErrorTestSuites);
} else {
  const { expected, unexpected, flaky } = report.stats;
  console.log(expected, unexpected + flaky + (report.errors?.length ?? 0));
}

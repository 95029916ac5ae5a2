/** x */ package dynamorph.bench;

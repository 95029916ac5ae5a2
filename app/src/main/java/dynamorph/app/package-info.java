/** x */ package dynamorph.app;

import { configure } from '@testing-library/react';

// what a test waits for on screen may be late where processors are short: only what never comes is a failure
configure({ asyncUtilTimeout: 60_000 });

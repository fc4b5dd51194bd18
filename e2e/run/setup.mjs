import { jest } from '@jest/globals';

// A browser on a busy machine loses a click now and then: tried once more, and what failed first is still printed and counted.
jest.retryTimes(Number(process.env.TOILE_RETRIES ?? 1), { logErrorsBeforeRetry: true });

import { answerFitting, type FittingRequest } from './fittingJobs';

// The heavy part of fitting and matching, away from the page.
self.onmessage = (event: MessageEvent<{ id: number; request: FittingRequest }>) => {
  const { id, request } = event.data;
  try {
    self.postMessage({ id, answer: answerFitting(request) });
  } catch (error) {
    self.postMessage({ id, error: error instanceof Error ? error.message : String(error) });
  }
};

import { fittingJobs } from './fittingJobs';
import { serveJobs } from './rpc';

serveJobs(fittingJobs);

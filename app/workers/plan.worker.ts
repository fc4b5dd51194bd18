import { planJobs } from './planJobs';
import { serveJobs } from './rpc';

serveJobs(planJobs);

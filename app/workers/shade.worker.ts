import { shadeJobs } from './shadeJobs';
import { serveJobs } from './rpc';

serveJobs(shadeJobs);

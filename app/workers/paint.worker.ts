import { paintJobs } from './paintJobs';
import { serveJobs } from './rpc';

serveJobs(paintJobs);

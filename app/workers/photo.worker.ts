import { photoJobs } from './photoJobs';
import { serveJobs } from './rpc';

serveJobs(photoJobs);

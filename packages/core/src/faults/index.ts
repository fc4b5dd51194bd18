export { causeNamed, FAULTS, type Cause, type Fault } from './faults';
export { findCauses, type LikelyCause } from './findCauses';

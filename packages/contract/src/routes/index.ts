export { BODIES } from './bodies';
export {
  addressOf,
  pathTo,
  ROUTES,
  type EditName,
  type Method,
  type ParamsOf,
  type QueryOf,
  type ReadName,
  type Route,
  type RouteName,
  type WriteName,
} from './list';
export type { AnswerOf, BodyOf, CurrentOf, EmptyBody, FileAnswer, Nothing, StaleName } from './types';

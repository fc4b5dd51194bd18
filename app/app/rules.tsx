export { RulesScreen as default } from '../features/review/RulesScreen';

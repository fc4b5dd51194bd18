export { matchAllergens, SENSITIVITIES, type AllergenMatch, type Sensitivity } from './matchAllergens';

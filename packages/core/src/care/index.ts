export { SENSITIVITIES, type Sensitivity } from './allergenWords';
export { familiesMeant, ingredientsKnown, matchAllergens, type AllergenMatch } from './matchAllergens';

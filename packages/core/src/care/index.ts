export { SENSITIVITIES, type Sensitivity } from './allergenWords';
export { withSensitivities } from './withSensitivities';
export { familiesMeant, ingredientsKnown, matchAllergens, type AllergenMatch } from './matchAllergens';

export { demoStudio, secondStudio, SECOND_SIGN_IN, SIGN_INS } from './studio';
export { CLIENTS } from './clients';
export { LOOKS } from './looks';
export { PRODUCTS, unitsOn } from './products';
export { STARTER_LOOKS } from './starterLooks';

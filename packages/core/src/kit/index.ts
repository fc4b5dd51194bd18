export {
  COVERAGE_WORDS,
  FAMILIES,
  familiesAgree,
  FINISHES,
  isPowder,
  isWet,
  MEASURES,
  PRODUCT_KINDS,
  mayBeStirred,
  needsShade,
  productName,
  shadeName,
  ProductSchema,
  ProductSnapshotSchema,
  SMALLEST_SHARES,
  snapshotOf,
  TEXTURES,
  UnitSchema,
  type Family,
  type Finish,
  type Kit,
  type Measure,
  type Product,
  type ProductKind,
  type ProductSnapshot,
  type Texture,
  type Unit,
} from './product';
export {
  propertiesOf,
  proposedProperties,
  smallestMg,
  unstated,
  type WearProperties,
  type WearProperty,
  waterproofTold,
} from './properties';
export { amountTold, type AmountTold } from './amountTold';
export { clearTold, finishTold, forEyesTold, kindsTold, textureTold } from './kindWords';
export { CALLED_ALSO, productFinder } from './findProducts';
export { simulatedPan } from './simulatedPan';
export { usualForm, type UsualForm } from './usualForm';
export { fullMg } from './contents';
export { shelfLife, type ShelfLife } from './shelfLife';
export { doseFor, measuresFor, TOOL_LOSS, TOOLS, type Dose, type Tool } from './doseFor';
export {
  arrangementKey,
  arrangePalette,
  byKeys,
  ARRANGEMENTS,
  cellName,
  movePan,
  panAt,
  paletteProblems,
  PaletteSchema,
  PanSchema,
  type Arrangement,
  type Cell,
  type Palette,
  type Pan,
} from './palette';

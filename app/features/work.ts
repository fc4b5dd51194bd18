/**
 * Every screen that draws a face, computes or fills in a form: fetched as one, while the day is being read. The door, Today
 * and the lists of clients and parties do without.
 */
export { ChairScreen } from './chair/ChairScreen';
export { ChartScreen } from './chart/ChartScreen';
export { ClientScreen } from './clients/ClientScreen';
export { EditClientScreen } from './clients/EditClientScreen';
export { NewClientScreen } from './clients/NewClientScreen';
export { EnquiryScreen } from './clients/EnquiryScreen';
export { WearScreen } from './wear/WearScreen';
export { HeldScreen } from './wear/HeldScreen';
export { CompareScreen } from './compare/CompareScreen';
export { ConsultScreen } from './consult/ConsultScreen';
export { ImportScreen } from './files/ImportScreen';
export { FitScreen } from './fit/FitScreen';
export { EditProductScreen } from './kit/EditProductScreen';
export { IdentifyScreen } from './kit/IdentifyScreen';
export { KitImportScreen } from './kit/KitImportScreen';
export { KitScreen } from './kit/KitScreen';
export { NewProductScreen } from './kit/NewProductScreen';
export { ProductScreen } from './kit/ProductScreen';
export { ShadeMapScreen } from './kit/ShadeMapScreen';
export { LettersScreen } from './letters/LettersScreen';
export { LightScreen } from './light/LightScreen';
export { EditLookScreen } from './looks/EditLookScreen';
export { FitSeveralScreen } from './looks/FitSeveralScreen';
export { NewLookScreen } from './looks/NewLookScreen';
export { LookScreen } from './looks/LookScreen';
export { ImportLooksScreen } from './looks/ImportLooksScreen';
export { LooksGrid } from './looks/LooksGrid';
export { LooksList } from './looks/LooksList';
export { MakeLookScreen } from './looks/MakeLookScreen';
export { PaletteScreen } from './palettes/PaletteScreen';
export { PalettesScreen } from './palettes/PalettesScreen';
export { NewPartyScreen } from './parties/NewPartyScreen';
export { PartyScreen } from './parties/PartyScreen';
export { ReadScreen } from './reading/ReadScreen';
export { RepeatScreen } from './repeat/RepeatScreen';
export { RulesScreen } from './review/RulesScreen';
export { SettingsScreen } from './settings/SettingsScreen';
export { ShadesScreen } from './shades/ShadesScreen';
export { SkinScreen } from './skin/SkinScreen';
export { SubstituteScreen } from './substitute/SubstituteScreen';
export { TeamScreen } from './team/TeamScreen';
export { NextFace } from './today/NextFace';
export { TraceScreen } from './trace/TraceScreen';

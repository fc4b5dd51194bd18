export { PalettesScreen as default } from '../../../features/palettes/PalettesScreen';

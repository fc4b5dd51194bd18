export { KitImportScreen as default } from '../../features/kit/KitImportScreen';

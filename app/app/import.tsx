export { ImportScreen as default } from '../features/files/ImportScreen';

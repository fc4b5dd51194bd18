export { NewProductScreen as default } from '../../features/kit/NewProductScreen';

export { KitScreen as default } from '../../features/kit/KitScreen';

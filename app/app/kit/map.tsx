export { ShadeMapScreen as default } from '../../features/kit/ShadeMapScreen';

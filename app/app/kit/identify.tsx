export { IdentifyScreen as default } from '../../features/kit/IdentifyScreen';

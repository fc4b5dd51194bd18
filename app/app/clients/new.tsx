export { NewClientScreen as default } from '../../features/clients/NewClientScreen';

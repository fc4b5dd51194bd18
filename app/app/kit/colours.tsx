import { fromWork } from '../../features/frame/fromWork';

export default fromWork((work) => work.ReadKitScreen);

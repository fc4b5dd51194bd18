import type { SkinZone } from '../../colour';

/** How a zone is named in a file, in any language of whoever writes it: 'Under eye', 'Beside mouth'. */
export const zoneInFiles = (zone: SkinZone): string => {
  const words = (zone === 'mouthSide' ? 'besideMouth' : zone).replace(
    /[A-Z]/g,
    (letter) => ` ${letter.toLowerCase()}`,
  );
  return `${words.charAt(0).toUpperCase()}${words.slice(1)}`;
};

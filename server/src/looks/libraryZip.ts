import { writeLook, writeZip, type Look } from '@toile/core';

/** A name for a file that any system takes; the id keeps two looks of one name apart. */
export const lookFile = (look: Look): string =>
  `${
    look.name
      .normalize('NFKD')
      .toLowerCase()
      .replace(/[^a-z0-9]+/g, '-')
      .replace(/^-|-$/g, '')
      .slice(0, 40) || 'look'
  }-${look.id.slice(-8)}.json`;

/** The library as one zip: the newest version of each look, a file each. */
export const libraryZip = (looks: readonly Look[]): Uint8Array =>
  writeZip(new Map(looks.map((look) => [`looks/${lookFile(look)}`, writeLook(look)])));

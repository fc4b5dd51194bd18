import { localeNow } from '@toile/core';
import { documentWithFonts, finished } from './fonts';

/** What a part of a document is to whoever has it read out. */
export type PartTag = 'H1' | 'H2' | 'P' | 'Figure' | 'Note';

/**
 * Said of a part instead of what stands on the page: of a drawing, or where words were cut for want of room.
 */
export type PartSaid = { readonly alt?: string; readonly actual?: string };

/**
 * A document that can be read out: its title and language said, every mark on a page either part of the text
 * in its order or an ornament, as PDF/UA asks. What is drawn outside of both is a mistake: the tests read
 * every document for it.
 */
export type TaggedDocument = {
  readonly doc: PDFKit.PDFDocument;
  /** Draws a part of the text. Not within another. */
  readonly part: (tag: PartTag, draw: () => void, said?: PartSaid) => void;
  /** Draws what is only to be seen: frames, dashes, a head said once more. */
  readonly ornament: (draw: () => void) => void;
  /** The bytes, once everything is drawn. */
  readonly finished: () => Promise<Buffer>;
};

/** An empty document to be tagged as it is drawn. */
export function taggedDocument(title: string, options: PDFKit.PDFDocumentOptions): TaggedDocument {
  const doc = documentWithFonts({
    ...options,
    margin: 0,
    lang: localeNow(),
    displayTitle: true,
    pdfVersion: '1.7',
    tagged: true,
    info: { Title: title },
  });
  const root = doc.struct('Document');
  doc.addStructure(root);
  return {
    doc,
    part: (tag, draw, said = {}) => void root.add(doc.struct(tag, said, draw)),
    ornament: (draw) => {
      doc.markContent('Artifact', { type: 'Layout' });
      draw();
      doc.endMarkedContent();
    },
    finished: () => {
      root.end();
      return finished(doc);
    },
  };
}

import fc from 'fast-check';
import PostalMime from 'postal-mime';
import { writeMail, type Mail } from './mail';

const mail: Mail = {
  from: { name: 'Quayside Room, Ostermouth', email: 'owner@studio.example' },
  to: { name: 'Søla “Vee” Vestergård', email: 'sola@post.example' },
  subject: 'Come and work with Quayside Room, Ostermouth',
  text: `Søla,\n\nhttp://127.0.0.1:46000/join#0190a000.${'a'.repeat(100)}\n`,
};
const letters = fc.string({ unit: 'grapheme', minLength: 1, maxLength: 200 });

test('another program reads it as it was meant, whatever is in it', async () => {
  await fc.assert(
    fc.asyncProperty(letters, letters, letters, async (name, subject, text) => {
      // What white space stands at an end of a header is no part of it.
      const [n, s] = [name.trim() || 'n', subject.trim() || 's'];
      const raw = writeMail({ ...mail, to: { ...mail.to, name: n }, subject: s, text });
      const read = await PostalMime.parse(raw);
      expect(read.to).toMatchObject([{ address: mail.to.email }]);
      expect(read.subject).toBe(s);
      expect(read.text?.trimEnd()).toBe(text.trimEnd());
      for (const line of raw.split('\r\n')) expect(line.length).toBeLessThanOrEqual(78);
    }),
    { numRuns: 200 },
  );
});

test('names with marks of their own are whole, and a long link is one line', async () => {
  const read = await PostalMime.parse(writeMail(mail));
  expect(read.from).toMatchObject({ name: mail.from.name, address: mail.from.email });
  expect(read.to).toMatchObject([{ name: mail.to.name, address: mail.to.email }]);
  expect(read.text?.split(/\r?\n/)[2]).toBe(mail.text.split('\n')[2]);
});

test('no name breaks out of its header', async () => {
  const name = 'Eve>\r\nBcc: everybody@post.example\r\n\r\nHello';
  const read = await PostalMime.parse(writeMail({ ...mail, to: { ...mail.to, name } }));
  expect(read.bcc ?? []).toEqual([]);
  expect(read.to?.map((to) => to.address)).toEqual([mail.to.email]);
});

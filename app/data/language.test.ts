const languages = (tags: readonly string[]): void =>
  void Object.defineProperty(navigator, 'languages', { value: tags, configurable: true });
const cookie = (text: string): void => void (document.cookie = text);
/** As a page that is loaded anew: what was chosen is asked again. */
const chosen = (): string => {
  let language = '';
  jest.isolateModules(() => {
    const { chosenLanguage } = jest.requireActual<typeof import('./language')>('./language');
    language = chosenLanguage();
  });
  return language;
};
afterEach(() => cookie('toile-language=; max-age=0'));

test.each([
  [['en-GB'], '', 'en'],
  [['id-ID', 'en'], '', 'id'],
  [['jv', 'id'], '', 'id'],
  [['fr'], '', 'en'],
  [[], '', 'en'],
  // What was chosen on the device stands before what its browser asks for.
  [['id'], 'toile-language=en', 'en'],
  [['en'], 'toile-language=id', 'id'],
  // A cookie that is none of ours, or names no language.
  [['en'], 'not-toile-language=id', 'en'],
  [['id'], 'toile-language=xx', 'id'],
])('a browser that asks for %j with the cookie “%s” is told in %s', (tags, kept, language) => {
  languages(tags);
  if (kept !== '') cookie(`${kept}; path=/`);
  expect(chosen()).toBe(language);
  cookie('not-toile-language=; max-age=0; path=/');
});

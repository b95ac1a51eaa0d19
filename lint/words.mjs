/** Plain words: phrases that stood on screen and confused an American coach, each with what to say instead. */
export const PHRASES = [
  ['keep, next snap', 'save, next snap'],
  ['keep it as it is', 'save it as it is'],
  ['keep the change', 'save the change'],
  ['what does not follow', 'needs review'],
  ['does not follow.', 'doesn’t add up'],
  ['follow from one another', 'add up'],
  ['to mend', 'to fix'],
  ['take back', 'undo'],
  ['taken back', 'undone'],
  ['put away', 'close'],
  ['bring a file', 'import a file'],
  ['bring book.json', 'import book.json'],
  ['all of it, to take along', 'export everything'],
  ['as it ships', 'reset to defaults'],
  ['as they ship', 'defaults'],
  ['open it', 'start game'],
  ['open again', 'reopen'],
  ['opened again', 'reopened'],
  ['keeper', 'admin'],
  ['11 people', '11 personnel'],
  ['people hold', 'personnel has'],
  ['fresh first down', 'first play of a drive'],
  ['other pictures', 'other ways to show it'],
  ['the picture shows', 'the formation shows'],
  ['ledger of twenty-two', 'everyone’s job'],
  ['nobody of this picture', 'nobody in this look'],
  ['rules of counting', 'counting rules'],
  ['hats for', 'blocking count at'],
  ['add a slice', 'add a filter'],
  ['find a word', 'find a term'],
  ['no word of this kind', 'no term of this kind'],
];

/** Phrases of the list in a text, whatever the case: whole words only. */
export function wrongWords(text) {
  const plain = text.toLowerCase().replace(/\s+/g, ' ');
  return PHRASES.filter(([phrase]) => {
    const at = plain.indexOf(phrase);
    if (at < 0) return false;
    const letter = /[a-z0-9]/;
    return !letter.test(plain[at - 1] ?? ' ') && !letter.test(plain[at + phrase.length] ?? ' ');
  });
}

export default {
  meta: { type: 'problem', schema: [], messages: { word: 'Not “{{phrase}}”, but “{{instead}}”.' } },
  create(context) {
    const check = (node, text) => {
      for (const [phrase, instead] of wrongWords(text))
        context.report({ node, messageId: 'word', data: { phrase, instead } });
    };
    return {
      Literal: (n) => typeof n.value === 'string' && check(n, n.value),
      TemplateElement: (n) => check(n, n.value.cooked ?? ''),
      JSXText: (n) => check(n, n.value),
    };
  },
};

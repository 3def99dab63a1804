/** The word for what is counted, for one and for more. */
const word =
  (one: string, more: string) =>
  (count: number): string =>
    count === 1 ? one : more;

export const counted = {
  answer: word('answer', 'answers'),
  line: word('line', 'lines'),
  show: word('show', 'shows'),
  supply: word('supply', 'supplies'),
  row: word('row', 'rows'),
  test: word('test', 'tests'),
  way: word('option', 'options')
};

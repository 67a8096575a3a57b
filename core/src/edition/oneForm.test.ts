import { describe, expect, it } from '@jest/globals';
import { inOneForm, inOwnForms } from './oneForm.ts';

describe('words in one form', () => {
  it('are small and behind a blank, with a sign for those that were not', () => {
    expect(inOneForm("'Leaf spot','leaf','a leaf. Leaf-spot Leaf'")).toBe("'# leaf spot','@ leaf','a leaf. Leaf-spot` leaf'");
  });
  it('stay as they are where they never stand so', () => {
    expect(inOneForm('Marrow,marrow, x')).toBe('Marrow,marrow, x');
  });
  it.each([
    '',
    'leaf Leaf LEAF lEaf leafs leaf',
    " leaf-spot 'leaf-spot Leaf-spot Leaf-Spot -leaf -Leaf",
    'it` costs # @ leaf @leaf # leaf \u0081 \u0081\u0081@ leaf #Leaf',
    ' the The the,The;the. Öl thé The',
  ])('give any text back: %j', (text) => {
    expect(inOwnForms(inOneForm(text))).toBe(text);
  });
});

import './guide';
import { cleanup, fireEvent, render, screen, waitFor } from '@testing-library/react';
import { individual, taxonPlate, writtenPlate } from '@pause/core/drawing';
import { colour } from '../src/components';
import { AnswerDrawing } from '../src/components/plates/AnswerDrawing';
import { LensedDrawing } from '../src/components/plates/LensedDrawing';
import { LensView } from '../src/components/plates/LensView';
import { StatePicture } from '../src/components/plates/StatePicture';
import { PlateDrawing, TaxonDrawing } from '../src/components/plates/TaxonDrawing';
import { loadPlates } from '../src/components/plates/usePlates';
import { guide } from '../src/deciding/guide';
import { lengthWords } from '../src/text/names';

beforeAll(async () => {
  await loadPlates();
});
const taxon = (id: string) => guide.taxon(id)!;
/** What each path is drawn in: a line of the pen is an outline that is filled. */
const inks = (of: Element) =>
  [...of.querySelectorAll('path')].map((path) => {
    const stroke = path.getAttribute('stroke');
    return stroke === 'none' ? path.getAttribute('fill') : stroke;
  });

test('a whole taxon: its scale in words, and only the parts that are pointed at in the accent', async () => {
  const { container } = render(
    <TaxonDrawing
      taxon={taxon('amanita-phalloides')}
      stage={'mature' as never}
      height={200}
      accent={new Set(['volva'])}
    />,
  );
  await waitFor(() => {
    expect(container.querySelectorAll('path').length).toBeGreaterThan(5);
  });
  const inAccent = inks(container).filter((ink) => ink === colour.collect);
  expect(inAccent.length).toBeGreaterThan(0);
  expect(inAccent.length).toBeLessThan(inks(container).length / 2);
  expect(screen.getByText(/^\d+ (mm|cm)$/)).toBeTruthy();
  cleanup();
  const plain = render(
    <TaxonDrawing
      taxon={taxon('amanita-phalloides')}
      stage={'mature' as never}
      height={200}
      accent={new Set()}
    />,
  );
  await waitFor(() => {
    expect(plain.container.querySelectorAll('path').length).toBeGreaterThan(5);
  });
  expect(inks(plain.container)).not.toContain(colour.collect);
});

test('a size that nobody stated is said not to be to scale', async () => {
  const cap = taxon('amanita-phalloides');
  const unsized = {
    ...cap,
    taxon: { ...cap.taxon, statements: cap.taxon.statements.filter((s) => s.character !== 'cap.width') },
  };
  const plate = writtenPlate(taxonPlate(guide, unsized, 'mature' as never));
  render(<PlateDrawing plate={plate} height={200} accent={new Set()} />);
  expect(await screen.findByText('not to scale')).toBeTruthy();
});

test('what is not stated is said to be faint', () => {
  const cowberry = taxon('vaccinium-vitis-idaea');
  const leafless = {
    ...cowberry,
    taxon: {
      ...cowberry.taxon,
      statements: cowberry.taxon.statements.filter((s) => !s.character.startsWith('leaf')),
    },
  };
  const plate = writtenPlate(taxonPlate(guide, leafless, 'fruiting' as never));
  render(<PlateDrawing plate={plate} height={200} accent={new Set()} />);
  expect(screen.getByText('faint: nothing is stated of its leaves')).toBeTruthy();
});

test('a large plate: a number at what it is told by, each of which can be touched', async () => {
  const touched: string[] = [];
  const large = (onChoose?: (one: { readonly character: string }) => void) => (
    <LensedDrawing
      taxon={taxon('amanita-phalloides')}
      stage={'mature' as never}
      width={358}
      chosen={undefined}
      onChoose={onChoose}
      words={(character) => character}
    />
  );
  const { rerender } = render(large(({ character }) => touched.push(character)));
  const buttons = await screen.findAllByRole('button');
  expect(buttons.length).toBeGreaterThan(5);
  const volva = buttons.find((button) => /^\d+ volva$/.test(button.getAttribute('aria-label') ?? ''));
  fireEvent.click(volva!);
  expect(touched).toEqual(['volva']);
  // One that is swiped away cannot be reached by keys.
  rerender(large());
  expect(screen.queryAllByRole('button')).toEqual([]);
});

test('a lens shows what is stated, and nothing where nobody has drawn it', async () => {
  const one = individual(guide, taxon('amanita-phalloides'), 'mature' as never, 0);
  const { container, rerender } = render(<LensView one={one} character="volva" size={60} opening />);
  await waitFor(() => {
    expect(container.querySelectorAll('path').length).toBeGreaterThan(3);
  });
  rerender(<LensView one={one} character="wing.beat" size={60} />);
  expect(container.querySelectorAll('path')).toHaveLength(0);
});

test('what nobody has drawn takes no room, and its words stand alone', async () => {
  const { container } = render(<AnswerDrawing character="wing.beat" state="fast" height={80} />);
  await waitFor(() => {
    expect(container.childElementCount).toBe(0);
  });
});

test('states are a drawing with their words, colours all their swatches, nothing is said as such', async () => {
  const drawn = render(
    <StatePicture character="hymenophore.attachment" states={['adnate', 'notched'] as never} height={90} />,
  );
  await waitFor(() => {
    expect(drawn.container.querySelectorAll('path').length).toBeGreaterThan(2);
  });
  expect(
    screen.getByText('Meets the stem at full width; curves up in a notch just before the stem'),
  ).toBeTruthy();
  cleanup();
  const colours = render(
    <StatePicture character="flesh.colour" states={['white', 'ochre'] as never} height={90} />,
  );
  expect(colours.container.querySelector('svg')).toBeNull();
  expect(colours.container.innerHTML.match(/background-color/g)).toHaveLength(2);
  cleanup();
  render(<StatePicture character="stem.marks" states={[]} height={90} />);
  expect(screen.getByText('Nothing of it')).toBeTruthy();
});

test.each([
  [5, '5 mm'],
  [20, '2 cm'],
  [500, '50 cm'],
  [1000, '1 m'],
  [15, '1.5 cm'],
])('%d millimetres are %s', (millimetres, words) => {
  expect(lengthWords(millimetres)).toBe(words);
});

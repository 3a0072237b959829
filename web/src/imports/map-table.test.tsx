import { describe, expect, test } from '@jest/globals';
import { QueryClient, QueryClientProvider } from '@tanstack/react-query';
import { fireEvent, render, screen, waitFor } from '@testing-library/react';
import MapTable from './map-table.tsx';

function show(text: string): {
  sent: { path: string; body: { mapping: { roles: string[] } } }[];
  opened: string[];
  parts: string[];
} {
  const sent: { path: string; body: { mapping: { roles: string[] } } }[] = [];
  const opened: string[] = [];
  const parts: string[] = [];
  globalThis.fetch = ((path: string, init: RequestInit) => {
    if (typeof init.body !== 'string') {
      parts.push(new TextDecoder().decode(init.body as Uint8Array));
      return Promise.resolve(new Response(null, { status: 204 }));
    }
    sent.push({ path, body: JSON.parse(init.body) as never });
    return Promise.resolve(new Response(JSON.stringify({ id: 'new' }), { status: 200 }));
  }) as unknown as typeof fetch;
  const rows = text.split('\n').map((line) => line.split(','));
  render(
    <QueryClientProvider client={new QueryClient()}>
      <MapTable
        table={{ id: 'new', fileName: 'tray.csv', sheets: [{ name: 'tray', rows }] }}
        onOpened={({ id }) => opened.push(id)}
        onClose={() => undefined}
      />
    </QueryClientProvider>,
  );
  return { sent, opened, parts };
}

const roleOf = (column: string): string =>
  screen.getByLabelText<HTMLSelectElement>(`Column ${column} is`).value;
const openButton = (): HTMLButtonElement =>
  screen.getByRole<HTMLButtonElement>('button', { name: 'Open and compare' });

describe('a foreign table', () => {
  test('is guessed, shown with what it gives, and sent with its mapping', async () => {
    const { sent, opened, parts } = show('weight,group\n4.1,dry\n5.2,dry\n6.3,wet\n6.1,wet');
    expect([roleOf('weight'), roleOf('group')]).toEqual(['value', 'treatment']);
    expect(screen.getByText(/^4 pots in 2 treatments: dry .*wet/)).toBeTruthy();
    fireEvent.change(screen.getByLabelText('Control'), { target: { value: 'dry' } });
    fireEvent.click(openButton());
    await waitFor(() => expect(opened).toEqual(['new']));
    expect(parts.join('')).toBe('weight,group\r\n4.1,dry\r\n5.2,dry\r\n6.3,wet\r\n6.1,wet');
    expect(sent[0]).toMatchObject({
      path: '/api/files/new/table',
      body: {
        mapping: {
          roles: ['value', 'treatment'],
          control: 'dry',
          variables: [{ source: '0', name: 'weight', kind: 'number', counting: 'so_far' }],
        },
      },
    });
  });

  test('a word that nobody knows stands in the way until it is said what it means', () => {
    show('weight,group\n4.1,dry\ntall,dry\n6.3,wet');
    expect(openButton().disabled).toBe(true);
    expect(
      screen.getByText('One place needs mending, in the table or in what the columns mean:'),
    ).toBeTruthy();
    fireEvent.change(screen.getByLabelText('“tall” (1) means'), { target: { value: 'emerged' } });
    expect(screen.getByText(/^3 pots in 2 treatments: dry .*wet/)).toBeTruthy();
    expect(openButton().disabled).toBe(false);
  });

  test('a column can be given another meaning, and a length its unit', () => {
    show('pot,tray,height\n1,a,3.5\n2,b,4');
    expect(roleOf('tray')).toBe('block');
    fireEvent.change(screen.getByLabelText('Column tray is'), { target: { value: 'treatment' } });
    expect(screen.getByText(/^2 pots in 2 treatments: a .*b/)).toBeTruthy();
    fireEvent.change(screen.getByLabelText('in'), { target: { value: 'in' } });
    expect(screen.getByLabelText<HTMLSelectElement>('in').value).toBe('in');
  });

  test('rows shorter than the header are filled up, not refused', () => {
    show('date,Dry 1,Dry 2,Wet 1,Wet 2\n2026-05-04,1,2,3\n2026-05-06,2,3,4,5');
    expect(screen.getByText(/^4 pots in 2 treatments: Dry .*Wet/)).toBeTruthy();
  });

  test('zeros and several things read are asked about, each on its own', async () => {
    const { sent, opened } = show(
      'pot,group,date,height,leaves\n1,dry,2026-05-04,0,0\n1,dry,2026-05-08,3,2\n2,wet,2026-05-04,2,1\n2,wet,2026-05-08,0,2',
    );
    const before = screen.getByLabelText<HTMLSelectElement>(/^0 before a pot was up/);
    expect(before.value).toBe('not_emerged');
    const after = screen.getByLabelText<HTMLSelectElement>(/^0 after a pot was up/);
    expect(after.value).toBe('value');
    fireEvent.change(after, { target: { value: 'dead' } });
    expect(screen.getAllByLabelText('What was read')).toHaveLength(2);
    fireEvent.change(screen.getByLabelText('Column leaves is'), { target: { value: 'ignore' } });
    expect(screen.getAllByLabelText('What was read')).toHaveLength(1);
    expect(openButton().disabled).toBe(true);
    fireEvent.click(screen.getByRole('button', { name: 'centimetres' }));
    fireEvent.click(openButton());
    await waitFor(() => expect(opened).toEqual(['new']));
    expect(sent[0]?.body.mapping).toMatchObject({
      zeros: { before: 'not_emerged', after: 'dead' },
      variables: [{ name: 'height', kind: 'length' }],
    });
  });

  test('values that would be averaged name the column that tells them apart', () => {
    show('pot,group,date,spot,height\n1,a,2026-05-04,x,3\n1,a,2026-05-04,y,5\n2,b,2026-05-04,x,4');
    expect(screen.getByRole('alert').textContent).toContain(
      '1 pot has several values of height on one day, which count by their mean: pot 1 on 2026-05-04 has 3.0 cm, 5.0 cm. Column spot tells them apart',
    );
    fireEvent.change(screen.getByLabelText('Column spot is'), { target: { value: 'plant' } });
    expect(screen.queryByRole('alert')).toBeNull();
  });

  test('what fits in two ways is asked, with nothing chosen, and can be answered otherwise', async () => {
    const { sent, opened } = show('pot,group,date,height (mm)\n1,dry,3/4/2026,12\n2,wet,3/4/2026,14');
    expect(openButton().disabled).toBe(true);
    fireEvent.click(screen.getByRole('button', { name: 'Friday 3 April 2026 to Friday 3 April 2026' }));
    expect(screen.getByRole('status').textContent).toContain('Measured on one day, Friday 3 April 2026.');
    fireEvent.click(screen.getByRole('button', { name: 'Wednesday 4 March 2026 to Wednesday 4 March 2026' }));
    expect(screen.getByRole('status').textContent).toContain('Measured on one day, Wednesday 4 March 2026.');
    fireEvent.click(openButton());
    await waitFor(() => expect(opened).toEqual(['new']));
    expect(sent[0]?.body.mapping).toMatchObject({ dateOrder: 'mdy' });
  });

  test('what was done to a table is said by its rows, and undone', () => {
    show('pot,group,height (mm)\n1,dry,12\n2,dry,14\n3,wet,20\n4,wet,22\nmean,,17');
    expect(screen.getByText(/^Row 6 holds a mean/)).toBeTruthy();
    expect(screen.getByRole('status').textContent).toContain('4 pots in 2 treatments: dry (2) and wet (2).');
    fireEvent.click(screen.getByRole('button', { name: 'Undo this' }));
    expect(screen.queryByText(/^Row 6 holds a mean/)).toBeNull();
    expect(openButton().disabled).toBe(true);
    fireEvent.click(screen.getByRole('button', { name: 'Do it all again' }));
    expect(openButton().disabled).toBe(false);
  });

  test('a year that dates do not say is asked before they are read', () => {
    show('pot,group,date,height (mm)\n1,dry,21 March,12\n2,wet,21 March,14');
    const [first] = screen.getAllByRole('button', { name: /^20\d\d$/ });
    if (!first) throw new Error('no year is offered');
    fireEvent.click(first);
    expect(screen.getByRole('status').textContent).toContain(`21 March ${first.textContent}`);
    expect(openButton().disabled).toBe(false);
  });
});

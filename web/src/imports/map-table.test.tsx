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
    expect(
      screen.getByText('This gives 4 pots in 2 treatments (dry, wet) and 4 readings of weight.'),
    ).toBeTruthy();
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
    expect(
      screen.getByText('This gives 3 pots in 2 treatments (dry, wet) and 3 readings of weight.'),
    ).toBeTruthy();
    expect(openButton().disabled).toBe(false);
  });

  test('a column can be given another meaning, and a length its unit', () => {
    show('pot,tray,height\n1,a,3.5\n2,b,4');
    expect(roleOf('tray')).toBe('block');
    fireEvent.change(screen.getByLabelText('Column tray is'), { target: { value: 'treatment' } });
    expect(
      screen.getByText('This gives 2 pots in 2 treatments (a, b) and 2 readings of height.'),
    ).toBeTruthy();
    fireEvent.change(screen.getByLabelText('in'), { target: { value: 'in' } });
    expect(screen.getByLabelText<HTMLSelectElement>('in').value).toBe('in');
  });

  test('rows shorter than the header are filled up, not refused', () => {
    show('date,Dry 1,Dry 2,Wet 1,Wet 2\n2026-05-04,1,2,3\n2026-05-06,2,3,4,5');
    expect(
      screen.getByText('This gives 4 pots in 2 treatments (Dry, Wet) and 7 readings of height.'),
    ).toBeTruthy();
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
});

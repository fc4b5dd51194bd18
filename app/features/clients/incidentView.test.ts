import { chartOfDay, movedTo } from './incidentView';

const chart = (id: string, date: string) => ({ id, date });

const CHARTS = [chart('wedding', '2031-06-20'), chart('trial', '2031-05-14')];

test('with another day comes its chart, unless one was chosen by hand; half a day changes nothing else', () => {
  const form = { on: '2031-06-25', chartId: 'wedding' };
  expect(movedTo(CHARTS, form, '2031-05-20')).toEqual({ on: '2031-05-20', chartId: 'trial', suspected: [] });
  expect(movedTo(CHARTS, form, '2031-06-21')).toEqual({ on: '2031-06-21' });
  expect(movedTo(CHARTS, { ...form, chartId: 'trial' }, '2031-05-20')).toEqual({ on: '2031-05-20' });
  expect(movedTo(CHARTS, { ...form, chartId: null }, '2031-05-20')).toEqual({ on: '2031-05-20' });
  expect(movedTo(CHARTS, form, '')).toEqual({ on: '' });
  expect(movedTo([], { on: '2031-06-25', chartId: null }, '2031-05-20')).toEqual({ on: '2031-05-20' });
});

test('the last chart that is for the day or one before it is the one that was worn', () => {
  const charts = [chart('wedding', '2031-06-20'), chart('trial', '2031-05-14'), chart('first', '2031-01-02')];
  const on = (day: string) => chartOfDay(charts, day)?.id;
  expect(['2031-05-13', '2031-05-14', '2031-06-19', '2031-06-20', '2040-01-01'].map(on)).toEqual([
    'first',
    'trial',
    'trial',
    'wedding',
    'wedding',
  ]);
  // All still to come: the nearest of them.
  expect(on('2030-12-31')).toBe('first');
  expect(chartOfDay([], '2031-01-01')).toBeUndefined();
  expect(chartOfDay([...charts].reverse(), '2031-06-01')?.id).toBe('trial');
});

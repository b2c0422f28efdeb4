import Papa from 'papaparse';
import { describe, expect, it } from 'vitest';
import { stationDays } from './station-days.ts';

const days = (text: string) => stationDays(Papa.parse<string[]>(text.trim()).data);

describe('the file of a weather station', () => {
  it('with the least and the most of a day: half way between them', () => {
    expect(
      days(`
Station Gatehouse,,,
DATE,PRCP,TMAX,TMIN
2026-05-01,3.2,18,7
2026-05-02,0,21.5,9.5`),
    ).toEqual([
      ['date', 'temperature', 'rain', 'evapotranspiration'],
      ['2026-05-01', '12.5', '3.2', ''],
      ['2026-05-02', '15.5', '0', ''],
    ]);
  });
  it('with a line an hour: the mean of the readings, the sum of the rain, in the units of the headers', () => {
    expect(
      days(`
Date/Time,Outdoor Temperature (°F),Dew Point (°F),Hourly Rain (in),Rain Rate (in/h)
5/13/2026 22:00,50,40,0.1,1
5/13/2026 23:00,48,40,0.25,1
5/14/2026 00:00,46,40,0,0`),
    ).toEqual([
      ['date', 'temperature (F)', 'rain (in)', 'evapotranspiration'],
      ['2026-05-13', '49', '0.35', ''],
      ['2026-05-14', '46', '0', ''],
    ]);
  });
  it('with rain counted on from midnight: its last count', () => {
    expect(
      days(`
Datum;Zeit;Temp;Daily rain;ET
13.05.2026;08:00;9,5;0,2;0
13.05.2026;16:00;15,5;2,4;1,2
14.05.2026;08:00;11;0;0`),
    ).toEqual([
      ['date', 'temperature', 'rain', 'evapotranspiration'],
      ['2026-05-13', '12.5', '2.4', '1.2'],
      ['2026-05-14', '11', '0', '0'],
    ]);
  });
  it('with the rain of the last hour in every line: once for each hour', () => {
    const quarters = (hour: number, rain: readonly number[]) =>
      rain.map((mm, i) => `2026-05-13,${hour}:${i * 15 || '00'},10,${mm}`).join('\n');
    const log = `Date,Time,Temp,Hourly rain\n${quarters(8, [0.5, 1, 1.5, 2])}\n${quarters(9, [3, 3, 2, 1])}`;
    expect(days(log)![1]).toEqual(['2026-05-13', '10', '3', '']);
  });
  it('is left to its columns when they are those of a day already, and no other table is taken for one', () => {
    expect(days('date,temperature,rain\n2026-05-01,12,3\n2026-05-02,13,0')).toBeNull();
    expect(days('date,bed,material,amount\n2026-05-01,North,Straw,3\n2026-05-01,Long,Straw,3')).toBeNull();
    expect(days('date,temperature,value\n2026-05-01,12,3\n2026-05-01,13,0')).toBeNull();
    expect(days('')).toBeNull();
  });
});

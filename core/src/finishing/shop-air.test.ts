import { plain } from '../words';
import { celsius, COATS, dewPoint, fahrenheit, keepsFrom, UNDER, wrongReading } from './index';

const told = (coat: keyof typeof COATS, temperature: number, humidity: number) => {
  const because = keepsFrom(COATS[coat], { temperature, humidity });
  return because && plain(because, 'in');
};

test('a usual day is fit for all; cold, heat and damp are told with what to do', () => {
  for (const product of [...Object.values(COATS), ...Object.values(UNDER)])
    expect(keepsFrom(product, { temperature: 70, humidity: 50 })).toBeNull();
  expect(told('oil polyurethane', 48, 50)).toContain('warm the shop, the wood and the can to 55');
  expect(told('oil polyurethane', 96, 40)).toContain('under 90');
  expect(told('water polyurethane', 70, 75)).toContain('under 70 %');
  expect(told('oil polyurethane', 70, 75)).toBeNull();
});

test('the dew point by a table: 68 F at 50 % is 48.7 F, at 100 % the air itself', () => {
  expect(dewPoint({ temperature: 68, humidity: 50 })).toBeCloseTo(48.7, 0);
  expect(dewPoint({ temperature: 68, humidity: 100 })).toBeCloseTo(68, 5);
});

test.each([
  [-40, 50],
  [200, 50],
  [Number.NaN, 50],
])('a reading of %d degrees can not be', (temperature, humidity) => {
  expect(wrongReading({ temperature, humidity })).toContain('between -10 and 120');
});

test('humidity of 0 or 180 can not be; a usual reading can', () => {
  expect(wrongReading({ temperature: 60, humidity: 0 })).toContain('Humidity');
  expect(wrongReading({ temperature: 60, humidity: 180 })).toContain('Humidity');
  expect(wrongReading({ temperature: 60, humidity: 55 })).toBeNull();
  expect([celsius(50), fahrenheit(10)]).toEqual([10, 50]);
});

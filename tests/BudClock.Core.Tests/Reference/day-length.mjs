// Makes day-length.csv: hours from sunrise to sunset, with refraction, for every day of 2026 at five latitudes,
// by the npm package astronomy-engine 2.1.19 (a general astronomy library). Run: npm i astronomy-engine && node day-length.mjs
import * as Astronomy from 'astronomy-engine';
import { writeFileSync } from 'node:fs';

const latitudes = [51.5, -33.9, 40, 60, 0];
const lines = ['date,' + latitudes.join(',')];
for (let day = 0; day < 365; day++) {
  const midnight = new Date(Date.UTC(2026, 0, 1 + day));
  const hours = latitudes.map((latitude) => {
    const observer = new Astronomy.Observer(latitude, 0, 0);
    const rise = Astronomy.SearchRiseSet('Sun', observer, 1, midnight, 1);
    const set = Astronomy.SearchRiseSet('Sun', observer, -1, rise, 1);
    return ((set.date - rise.date) / 3_600_000).toFixed(3);
  });
  lines.push(midnight.toISOString().slice(0, 10) + ',' + hours.join(','));
}
writeFileSync('day-length.csv', lines.join('\n') + '\n');

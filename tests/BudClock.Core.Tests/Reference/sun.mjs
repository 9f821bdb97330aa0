// Makes sun.csv: sunrise and sunset in minutes of UTC after the day's midnight, for every day of 2026 at five places on earth,
// by the npm package astronomy-engine 2.1.19 (a general astronomy library). Run: npm i astronomy-engine && node sun.mjs
import * as Astronomy from 'astronomy-engine';
import { writeFileSync } from 'node:fs';

const places = [[65, 25], [51.5, 0.7], [0, 100], [-33.9, -70.6], [-65, -60]];
const lines = ['date,' + places.flatMap(([lat, lon]) => [`${lat}/${lon} rise`, `${lat}/${lon} set`]).join(',')];
for (let day = 0; day < 365; day++) {
  const midnight = new Date(Date.UTC(2026, 0, 1 + day));
  const times = places.flatMap(([latitude, longitude]) => {
    const observer = new Astronomy.Observer(latitude, longitude, 0);
    const noon = new Date(midnight.getTime() + (12 - longitude / 15) * 3_600_000);
    const rise = Astronomy.SearchRiseSet('Sun', observer, 1, noon, -1);
    const set = Astronomy.SearchRiseSet('Sun', observer, -1, noon, 1);
    return [rise, set].map((time) => ((time.date - midnight) / 60_000).toFixed(2));
  });
  lines.push(midnight.toISOString().slice(0, 10) + ',' + times.join(','));
}
writeFileSync('sun.csv', lines.join('\n') + '\n');

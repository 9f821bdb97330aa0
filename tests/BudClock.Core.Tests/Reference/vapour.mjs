// Makes vapour.csv: saturation vapour pressure and vapour pressure deficit in kPa, by the npm package psychrolib 1.1.1
// (the formulas of the ASHRAE Handbook, Fundamentals, chapter 1). Run: npm i psychrolib && node vapour.mjs
import psychrolib from 'psychrolib';
import { writeFileSync } from 'node:fs';

psychrolib.SetUnitSystem(psychrolib.SI);
const lines = ['celsius,humidity,saturation,deficit'];
for (let celsius = -5; celsius <= 45; celsius += 2.5)
  for (const humidity of [20, 40, 60, 80, 100]) {
    const deficit = -psychrolib.GetVaporPressureDeficit(celsius, psychrolib.GetHumRatioFromRelHum(celsius, humidity / 100, 101325), 101325);
    lines.push([celsius, humidity, (psychrolib.GetSatVapPres(celsius) / 1000).toFixed(5), (Math.abs(deficit) / 1000).toFixed(5)].join(','));
  }
writeFileSync('vapour.csv', lines.join('\n') + '\n');

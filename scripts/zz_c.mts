import { base, browser, page, entry, shot, say, newCall } from './zz_shot.mts';
await newCall('Lisbet Crane');
await say('my camellia leaves have brown edges');
await shot('c0');
await page.getByRole('link',{name:'instrument'}).click();
await page.getByRole('heading',{name:'At the table'}).waitFor();
await page.waitForTimeout(1500);
for (const i of [0,1,2]) { await page.getByRole('button',{name:'Measure'}).nth(i).click(); await page.waitForTimeout(1200); }
await shot('c1');
await page.getByRole('button',{name:'Take it in'}).last().click();
await page.waitForTimeout(800);
await page.getByRole('link',{name:/Back to the case/}).click();
await page.waitForTimeout(800);
await shot('c2');
await browser.close();

import { chromium } from "@playwright/test";
import { CHROMIUM } from "../e2e/chromium";
const [size="1280x800", tag="t"] = process.argv.slice(2); const [width,height]=size.split("x").map(Number) as [number,number];
const b=await chromium.launch(CHROMIUM); const page=await b.newPage({viewport:{width,height},hasTouch:width<600});
page.on("console",m=>m.type()==="error"&&console.error("console:",m.text())); page.on("pageerror",e=>console.error("page:",e.message));
let n=0; const t0=Date.now();
await page.goto(process.env.AKMEDON_URL!+"/",{waitUntil:"networkidle"});
await page.getByLabel("Place",{exact:true}).fill("Portland"); await page.waitForTimeout(2500);
await page.screenshot({path:`/tmp/w_${tag}_1.png`});
await page.getByRole("button",{name:"Portland, OR, United States"}).click(); n++;
await page.screenshot({path:`/tmp/w_${tag}_2.png`});
await page.getByRole("button",{name:"Begin"}).click(); n++;
await page.waitForURL(/beds/);
await page.waitForTimeout(800);
await page.screenshot({path:`/tmp/w_${tag}_3.png`});
const lines=`Bed 1:
6 zucchini, planted 5/20/2026
40 radishes French Breakfast, sown 9/1
row of lettuce, sown 8/20
Bed 2:
15' of carrots Danvers, sown 4/15
8 feet beets Chioggia sown 4/20
Bed 3:
9 Blue Lake green beans, sown 5/10
12 sweet corn, sown mid-May
Bed 4:
24 garlic Music, planted Oct 15 2025
60 onion sets planted 4/1
Bed 5:
6 lacinato kale set out 5/1
8 collards planted 5/1
4 cabage planted 5/1
Bed 6:
10 asparagus crowns planted 2019
rhubarb, established
Bed 7:
4 Brandywine tomatoes planted 5/25
3 Sungold planted 5/25
6 jalapeños planted 6/1
2 eggplants Black Beauty planted 6/1
Bed 8:
2 butternut planted 5/25
3 Jack Be Little pumpkins sown 6/1
2 yellow squash planted 5/25
Orchard:
2 apple trees Honeycrisp planted 2012
peach tree planted 2018
6 blueberries Bluecrop planted 2016
10 autumn raspberries planted 2020
horse radish planted 2015
Herbs by the door: 
basil Genovese 6, planted 6/1
thyme planted 2022
mint in a pot, planted 2023`;
await page.getByLabel("Plantings, a line each").fill(lines);
await page.getByRole("button",{name:"Read them"}).click(); n++;
await page.waitForTimeout(1800);
await page.screenshot({path:`/tmp/w_${tag}_4.png`});
await page.screenshot({path:`/tmp/w_${tag}_4full.png`,fullPage:true});
console.log(await page.getByText(/still ask/).allInnerTexts(), n);
await page.getByRole("button",{name:"Lettuce, cut and come again"}).first().click(); n++; await page.waitForTimeout(900);
await page.getByLabel(/How many, of row of lettuce/).fill("10 ft"); await page.getByLabel(/How many, of row of lettuce/).press("Enter"); n++; await page.waitForTimeout(900);
await page.getByRole("button",{name:"Cabbage",exact:true}).click(); n++; await page.waitForTimeout(900);
await page.getByRole("button",{name:/^Courgette/}).first().click(); n++; await page.waitForTimeout(900);
await page.screenshot({path:`/tmp/w_${tag}_5.png`,fullPage:true});
await page.getByRole("button",{name:/^Add (all|the \d)/}).click(); n++; await page.waitForTimeout(2500);
await page.screenshot({path:`/tmp/w_${tag}_6.png`});
console.log("actions",n,"seconds",(Date.now()-t0)/1000, await page.getByText(/^✓/).allInnerTexts());
await page.goto(process.env.AKMEDON_URL!+"/",{waitUntil:"networkidle"});
await page.screenshot({path:`/tmp/w_${tag}_7.png`});
await b.close();

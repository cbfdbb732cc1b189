import {open} from "./look.mjs";
{
const {b,page}=await open(1280,800);
await page.goto("http://127.0.0.1:4700/new");
await page.getByLabel("Name or business").waitFor();
await page.keyboard.type("Zeb Oyelaran");
await page.getByLabel("Phone",{exact:true}).fill("360 555 0181");
await page.waitForTimeout(1500);
await page.getByRole("radio",{name:"Tomorrow"}).click();
await page.waitForTimeout(1000);
await page.evaluate(()=>document.querySelectorAll('[role=main] div').forEach(d=>d.scrollTop=0));
await page.screenshot({path:"/tmp/w1.png"});
await page.goto("http://127.0.0.1:4700/find");
await page.getByRole("textbox").fill("360 555 0181");
await page.waitForTimeout(1200);
await page.screenshot({path:"/tmp/w2.png"});
await page.getByRole("textbox").fill("Bill Oyelaran");
await page.waitForTimeout(1200);
await page.screenshot({path:"/tmp/w3.png"});
await b.close();
}
{
const {b,page}=await open();
await page.goto("http://127.0.0.1:4700/new");
await page.getByLabel("Name or business").waitFor();
await page.keyboard.type("maren");
await page.waitForTimeout(1200);
await page.screenshot({path:"/tmp/p1.png"});
await b.close();
}

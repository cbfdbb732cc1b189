import { chromium } from "playwright-core";
export async function open(w=390,h=844){
  const b = await chromium.launch({executablePath:"/usr/bin/chromium",args:["--no-sandbox","--disable-gpu"]});
  const c = await b.newContext({viewport:{width:w,height:h},reducedMotion:"reduce",hasTouch:w<500});
  const page = await c.newPage();
  page.setDefaultTimeout(15000);
  await page.request.post("http://127.0.0.1:4700/api/session",{data:{login:"odile",password:"lantern-7"}});
  return {b,page};
}

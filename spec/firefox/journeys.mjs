// The main journeys in Firefox, over WebDriver BiDi. Usage: node journeys.mjs ADDRESS [FOLDER for pictures]
// Prints a line of JSON for each journey: { "name", "fault": null or why it failed }.
import puppeteer from "puppeteer-core";

const [address, pictures] = process.argv.slice(2);
const PATIENCE_MS = 20_000;
const browser = await puppeteer.launch({
  browser: "firefox",
  executablePath: process.env.GRAVER_FIREFOX ?? "/usr/bin/firefox-esr",
  headless: true,
  defaultViewport: null,
  protocolTimeout: 60_000,
});
const page = await browser.newPage();
// An older Firefox sets the size, and doesn't know the orientation that comes with it.
await page.setViewport({ width: 1280, height: 800 }).catch((error) => {
  if (!/unknown command/.test(error.message)) throw error;
});
const errors = [];
page.on("pageerror", (error) => errors.push(error.message));

const visit = (path) =>
  page.goto("about:blank").then(() => page.goto(`${address}/#${path}`));
// The page's policy forbids functions made of texts, by which the driver would wait: each look is a call of its own.
const until = async (look, ...given) => {
  for (
    const end = Date.now() + PATIENCE_MS;
    ;
    await new Promise((go) => setTimeout(go, 150))
  ) {
    const found = await page.evaluateHandle(look, ...given).catch(() => null);
    if (found && (await found.evaluate((each) => !!each).catch(() => false)))
      return found;
    if (Date.now() > end)
      throw new Error(`waited in vain for ${given.join(", ")}`);
  }
};
const text = (wanted, within = "body") =>
  until(
    (wanted, within) =>
      [...document.querySelectorAll(within)].some((each) =>
        new RegExp(wanted, "s").test(each.innerText),
      ),
    wanted,
    within,
  );
const press = async (
  name,
  selector = "a, button, summary",
  within = "body",
) => {
  const found = await until(
    (name, selector, within) =>
      [...document.querySelectorAll(within)]
        .flatMap((each) => [...each.querySelectorAll(selector)])
        .find(
          (each) =>
            each.innerText.trim().startsWith(name) && each.checkVisibility(),
        ),
    name,
    selector,
    within,
  );
  await found.evaluate((each) => each.scrollIntoView({ block: "center" }));
  await found.asElement().click();
};
const shown = (selector) =>
  until((selector) => document.querySelector(selector), selector);
const focused = (id) => until((id) => document.activeElement?.id === id, id);
const NAMED = ["Enter", "Tab", "ArrowRight"];
const keys = async (...all) => {
  for (const each of all)
    if (NAMED.includes(each)) await page.keyboard.press(each);
    else await page.keyboard.type(each);
};
const api = (path) =>
  page.evaluate(
    (path) => fetch(`/api/v1${path}`).then((answer) => answer.json()),
    path,
  );

let vehicle;
const journeys = {
  "adds a first vehicle and what can be seen of its brakes": async () => {
    await visit("/");
    await press("Add a vehicle");
    await text("Add a vehicle", "h1");
    await keys("Firefly");
    await press("Add vehicle");
    await text("Brakes on this vehicle", "h1");
    await press(
      "Floating, on two slide pins",
      "button",
      "section[aria-label='front axle']",
    );
    await shown("[aria-pressed='true']");
    vehicle = Number(/vehicles\/(\d+)/.exec(page.url())[1]);
    const { axles } = await api(`/vehicles/${vehicle}`);
    if (axles.length !== 2) throw new Error(`it has ${axles.length} axles`);
  },

  "inspects it by keyboard alone and shows what was found": async () => {
    const [front] = (await api(`/vehicles/${vehicle}`)).axles;
    await visit(`/vehicles/${vehicle}/inspection?axle=${front.id}`);
    await text("inspection", "h1");
    await focused("odometer");
    await keys("61200", "Enter", "7.8", "Enter", "8.1", "Enter");
    await shown("svg[aria-label*='inner pad 7.8']");
    await page.evaluate(() => document.getElementById("save").focus());
    await keys("Enter");
    await text("Findings", "h1");
    const { log } = await api(`/vehicles/${vehicle}`);
    if (!/thinnest 7\.8.mm/.test(log[0].what))
      throw new Error(`the log says: ${log[0].what}`);
  },

  "forecasts how long the pads last, and what if": async () => {
    const [front] = (await api(`/vehicles/${vehicle}`)).axles;
    await visit(`/axles/${front.id}/wear`);
    await text("Most likely [\\d,]+\\skm");
    await shown(".chart svg, svg.chart, .chart");
  },

  "draws the step at the car, turns it, and keeps a tick": async () => {
    await visit("/jobs/2/car");
    await shown(".brake-drawing [data-part]");
    const drawn = () =>
      page.$eval(".brake-drawing g", (group) => group.innerHTML.length);
    if ((await drawn()) < 5000) throw new Error("next to nothing is drawn");
    const view = () =>
      page.$eval(".brake-drawing g path", (path) => path.getAttribute("d"));
    const before = await view();
    await page.evaluate(() =>
      document.querySelector("[role='application']").focus(),
    );
    await keys("ArrowRight", "ArrowRight");
    await until(
      (before) =>
        document.querySelector(".brake-drawing g path").getAttribute("d") !==
        before,
      before,
    );
    const job = Number(/jobs\/(\d+)/.exec(page.url())[1]);
    const done = async () => (await api(`/jobs/${job}/progress`)).ticked.length;
    const ticked = await done();
    await press("Done", "button");
    await until(
      (job, ticked) =>
        fetch(`/api/v1/jobs/${job}/progress`)
          .then((answer) => answer.json())
          .then((progress) => progress.ticked.length > ticked),
      job,
      ticked,
    );
  },
};

for (const [name, journey] of Object.entries(journeys)) {
  errors.length = 0;
  let fault = null;
  try {
    await journey();
    if (errors.length) fault = errors.join("; ");
  } catch (error) {
    fault = `${error.message} at ${page.url()}`;
  }
  console.log(JSON.stringify({ name, fault }));
}

const SCREENS = {
  garage: "/",
  vehicle: "/vehicles/1",
  findings: "/vehicles/1/findings",
  inspection: "/vehicles/1/inspection",
  wear: "/axles/1/wear",
  timeline: "/timeline",
  logbook: "/logbook",
  data: "/axles/1/brake-data",
  scope: "/jobs/1/scope",
  parts: "/jobs/1/parts",
  torque: "/jobs/1/torque",
  steps: "/jobs/1/steps",
  car: "/jobs/2/car",
  workshop: "/workshop",
  settings: "/settings",
  help: "/help",
};
if (pictures)
  for (const [name, path] of Object.entries(SCREENS)) {
    await visit(path);
    await new Promise((wake) => setTimeout(wake, 2500));
    await page.screenshot({ path: `${pictures}/${name}.png` });
  }
await browser.close();

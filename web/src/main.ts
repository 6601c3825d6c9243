import "carbon-components-svelte/css/all.css";
import "./fonts/fonts.css";
import "./app.css";
import "./parts/controls/controls.css";
import { mount } from "svelte";
import App from "./App.svelte";
import { followTheme } from "./parts/theme";

followTheme();

export default mount(App, { target: document.getElementById("app")! });

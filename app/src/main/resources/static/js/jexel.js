/* What a page does by itself. Every page works without it. */
import "./answers.js";
import "./kept.js";
import "./keys.js";
import "./level.js";
import "./page.js";
import "./plan.js";
import "./waits.js";

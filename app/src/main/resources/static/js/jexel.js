/* What a page does by itself. Every page works without it. */
import "./answers.js";
import "./away-pages.js";
import "./camera.js";
import "./kept.js";
import "./keys.js";
import "./level.js";
import "./page.js";
import "./plan.js";
import "./queue.js";
import "./road-card.js";
import "./waits.js";

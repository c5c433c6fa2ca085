/* What takes a while says how far it is: a file on its way to the server, rows being read there. */
const MEGA = 1048576;
const ASK_MS = 400;

const watched = (said, then) => {
  const request = new XMLHttpRequest();
  request.upload.addEventListener("progress", (event) => {
    said.textContent =
      event.loaded < event.total
        ? `${(event.loaded / MEGA).toFixed(1)} of ${(event.total / MEGA).toFixed(1)} MB sent`
        : then;
  });
  request.addEventListener("error", () => {
    said.textContent = "The server does not answer. The file is where it was; try again.";
  });
  return request;
};

/* A whole job, which may be larger than what a form holds. */
const whole = (form, said, file) => {
  const request = watched(said, "All sent. The job is being taken in.");
  request.addEventListener("load", () => {
    const told = request.status === 200 ? JSON.parse(request.responseText) : {};
    if (told.page) window.location.assign(told.page);
    else if (request.status === 413) said.textContent = "More than 128 MB: no job is as large.";
    else said.textContent = told.why || "Not taken. The file is where it was; try again.";
    said.classList.toggle("problem", !told.page);
  });
  request.open("POST", form.action);
  request.setRequestHeader("Content-Type", "application/json");
  request.setRequestHeader("Accept", "application/json");
  request.setRequestHeader("X-XSRF-TOKEN", form.elements._csrf.value);
  request.send(file);
};

const send = (form, said) => {
  const request = watched(said, "All sent. The rows are being read.");
  request.addEventListener("load", () => {
    if (request.status === 200) {
      window.location.assign(request.responseURL);
    } else {
      said.textContent =
        request.status === 413
          ? "More than 16 MB: cut the file and send it in parts."
          : "Not taken. The file is where it was; try again.";
    }
  });
  request.open("POST", form.action);
  request.send(new FormData(form));
};

const follow = (form, said) => {
  const ask = async () => {
    try {
      const answer = await (await fetch(form.dataset.progress, { cache: "no-store" })).json();
      if (answer.rows >= 0) said.textContent = `${answer.rows} of ${form.dataset.rows} rows read`;
    } catch (gone) {
      /* The answer of the form itself says what became of it. */
    }
    setTimeout(ask, ASK_MS);
  };
  said.textContent = "Recording.";
  setTimeout(ask, ASK_MS);
};

document.addEventListener("submit", (event) => {
  const form = event.target;
  if (!form.matches(".waits, .whole")) return;
  const said = form.querySelector(".progress-said");
  const file = form.querySelector("[type=file]");
  if (form.matches(".whole") && file.files.length) {
    event.preventDefault();
    whole(form, said, file.files[0]);
    return;
  }
  if (file) {
    if (!file.files.length) return;
    event.preventDefault();
    send(form, said);
  } else {
    follow(form, said);
  }
});

/** Says one sentence in the strip at the foot of the page. */
export const say = (words) => {
  const said = document.getElementById("said");
  if (said) said.textContent = words;
};

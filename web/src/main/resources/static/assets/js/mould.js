/** A mould's page shows the dimensions that the chosen shape has. */

const shape = document.querySelector('[data-shapes]');

function show() {
  const has = new Set(shape.selectedOptions[0].dataset.fields.split(' '));
  document.querySelectorAll('[data-dimension]').forEach((part) => (part.hidden = !has.has(part.dataset.dimension)));
}

shape.addEventListener('change', show);
show();

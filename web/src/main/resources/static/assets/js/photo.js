/** Photographs of a step: made smaller in the browser, sent, and named in a hidden field of the form. */

import { csrf } from './talk.js';

const LONGEST_SIDE = 1200;
const QUALITY = 0.82;

/** @param {File} file @returns {Promise<Blob>} a JPEG of at most 1200 pixels */
async function smaller(file) {
  const image = await createImageBitmap(file);
  const scale = Math.min(1, LONGEST_SIDE / Math.max(image.width, image.height));
  const canvas = document.createElement('canvas');
  canvas.width = Math.round(image.width * scale);
  canvas.height = Math.round(image.height * scale);
  canvas.getContext('2d').drawImage(image, 0, 0, canvas.width, canvas.height);
  return new Promise((done) => canvas.toBlob(done, 'image/jpeg', QUALITY));
}

/** @param {HTMLFormElement} form @param {() => void} done */
export function photographs(form, done) {
  form.addEventListener('change', async (event) => {
    const figure = event.target.closest?.('[data-photo]');
    const file = event.target.files?.[0];
    if (!figure || !file) {
      return;
    }
    const told = figure.querySelector('.fault') ?? figure.appendChild(Object.assign(document.createElement('span'), { className: 'fault' }));
    told.textContent = '';
    try {
      const body = new FormData();
      body.append('photo', await smaller(file), 'photo.jpg');
      const response = await fetch('/photos', { method: 'POST', body, headers: { 'X-CSRF-TOKEN': csrf } });
      const answer = await response.json();
      if (!response.ok) {
        throw new Error(answer.message);
      }
      document.getElementsByName(figure.dataset.field)[0].value = answer.id;
      const image = figure.querySelector('img') ?? figure.insertBefore(document.createElement('img'), figure.firstChild);
      image.alt = 'Photograph';
      image.src = `/photos/${answer.id}`;
      done();
    } catch (error) {
      told.textContent = `This picture could not be read: ${error.message ?? 'not an image'}.`;
    }
  });
}

// Looks for a code through the camera: by the browser's own detector where it has one, else picture by picture by the server.
import { words } from "./say.js";

const video = document.getElementById("camera");
const start = document.getElementById("camera-start");
const stop = document.getElementById("camera-stop");
const said = document.getElementById("code-said");
const csrf = document.querySelector('meta[name="csrf"]');
const WAIT = 400;
let stream = null;

const show = (text) => {
  said.textContent = text;
  said.hidden = text === "";
};

const close = () => {
  stream?.getTracks().forEach((track) => track.stop());
  stream = null;
  video.hidden = true;
  stop.hidden = true;
  start.hidden = false;
};

const detector = async () => {
  const formats = ["qr_code", "code_128"];
  const known = (await window.BarcodeDetector?.getSupportedFormats?.().catch(() => [])) ?? [];
  return formats.every((each) => known.includes(each)) ? new window.BarcodeDetector({ formats }) : null;
};

const picture = () => {
  const canvas = document.createElement("canvas");
  const scale = Math.min(1, 1000 / Math.max(video.videoWidth, video.videoHeight, 1));
  canvas.width = Math.max(1, video.videoWidth * scale);
  canvas.height = Math.max(1, video.videoHeight * scale);
  canvas.getContext("2d").drawImage(video, 0, 0, canvas.width, canvas.height);
  return new Promise((done) => canvas.toBlob(done, "image/jpeg", 0.8));
};

// True once a page was found; what is no code is looked at again, what leads elsewhere is said.
const ask = async (form) => {
  const answer = await fetch("/code", { method: "POST", body: form, headers: { [csrf.dataset.header]: csrf.content } }).catch(() => null);
  if (answer?.ok && answer.redirected) {
    close();
    window.location.assign(answer.url);
    return true;
  }
  if (form.has("code")) {
    show(words("script.code_leads_elsewhere"));
  }
  return false;
};

const look = async (own) => {
  while (stream) {
    await new Promise((done) => setTimeout(done, WAIT));
    if (!stream || video.readyState < 2) {
      continue;
    }
    const form = new FormData();
    form.set("batch", document.querySelector("#code-form [name=batch]").value);
    const codes = own ? await own.detect(video).catch(() => []) : [];
    if (codes.length > 0) {
      form.set("code", codes[0].rawValue);
    } else if (!own) {
      form.set("picture", await picture(), "frame.jpg");
    }
    if ((form.has("code") || form.has("picture")) && (await ask(form))) {
      return;
    }
  }
};

start.addEventListener("click", async () => {
  stream = await navigator.mediaDevices.getUserMedia({ video: { facingMode: "environment" } }).catch(() => null);
  if (!stream) {
    show(words("script.camera_not_there"));
    return;
  }
  show("");
  video.srcObject = stream;
  video.hidden = false;
  stop.hidden = false;
  start.hidden = true;
  await video.play();
  look(await detector());
});
stop.addEventListener("click", close);
window.addEventListener("pagehide", close);
start.hidden = !navigator.mediaDevices?.getUserMedia;

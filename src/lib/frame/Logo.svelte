<svg width="26" height="18" viewBox="0 0 26 18" aria-hidden="true">
  <path d="M1 12 13 2l12 10" fill="none" stroke="#7fc4b6" stroke-width="2.6" />
  <path d="M5 17h16" stroke="#e0a273" stroke-width="2.4" />
</svg>

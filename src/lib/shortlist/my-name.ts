const place = 'eave-my-name';

/** The user's name, stored in this browser and with everybody they add. Empty if they gave none. */
export const myName = (): string => localStorage.getItem(place) ?? '';
export const callMe = (name: string): void => localStorage.setItem(place, name.trim().slice(0, 100));

import { defineStore } from 'pinia';
import type { Picture } from '@zorvik/core';
import { sendPicture } from '../api/sendPicture.ts';
import type { Outcome } from './sites.ts';
import { useWorkingCopy } from './workingCopy.ts';

/** Pictures that are kept with the open site. */
export const usePictures = defineStore('pictures', () => {
  const copy = useWorkingCopy();

  /** Sends a file to be kept; gives it as a part names it. */
  async function send(file: Blob): Promise<Outcome<Picture>> {
    const sent = await sendPicture(copy.siteKey ?? '', file);
    return sent.ok ? { value: sent.value } : { problem: sent.refusal.message };
  }

  return { send };
});

import { defineStore } from 'pinia';
import type { MadePicture, Picture } from '@zorvik/core';
import { sendPicture } from '../api/sendPicture.ts';
import type { Outcome } from './sites.ts';
import { useWorkingCopy } from './workingCopy.ts';

/** Pictures that are kept with the open site. */
export const usePictures = defineStore('pictures', () => {
  const copy = useWorkingCopy();

  /** Sends a file to be kept; gives it as a part names it. */
  async function send(file: Blob): Promise<Outcome<Picture>> {
    const sent = await sendForLooks(file);
    return 'problem' in sent ? sent : { value: sent.value.picture };
  }

  /** The same, with the colours that text over it can have behind it. */
  async function sendForLooks(file: Blob): Promise<Outcome<MadePicture>> {
    const sent = await sendPicture(copy.siteKey ?? '', file);
    return sent.ok ? { value: sent.value } : { problem: sent.refusal.message };
  }

  return { send, sendForLooks };
});

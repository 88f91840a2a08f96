import { container } from './html.ts';
import { holder, type PartHandler } from './partHandler.ts';

export const tab: PartHandler<'tab'> = {
  resolve: holder,
  html: (part, within) => container(part, within, ' zv-tab'),
};

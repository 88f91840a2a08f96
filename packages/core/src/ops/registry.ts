import { addItem, type AddItem } from './addItem.ts';
import { addLeftFinding, type AddLeftFinding } from './addLeftFinding.ts';
import { addMenu, type AddMenu } from './addMenu.ts';
import { addOwnField, type AddOwnField } from './addOwnField.ts';
import { addPage, type AddPage } from './addPage.ts';
import { addPart, type AddPart } from './addPart.ts';
import { addPlacement, type AddPlacement } from './addPlacement.ts';
import { addPreset, type AddPreset } from './addPreset.ts';
import { addSharedLink, type AddSharedLink } from './addSharedLink.ts';
import { importPages, type ImportPages } from './importPages.ts';
import type { OperationKind } from './kit/operationKind.ts';
import { moveItem, type MoveItem } from './moveItem.ts';
import { moveMenu, type MoveMenu } from './moveMenu.ts';
import { moveOwnField, type MoveOwnField } from './moveOwnField.ts';
import { movePage, type MovePage } from './movePage.ts';
import { movePart, type MovePart } from './movePart.ts';
import { movePlacement, type MovePlacement } from './movePlacement.ts';
import { moveSharedLink, type MoveSharedLink } from './moveSharedLink.ts';
import { removeItem, type RemoveItem } from './removeItem.ts';
import { removeLeftFinding, type RemoveLeftFinding } from './removeLeftFinding.ts';
import { removeMenu, type RemoveMenu } from './removeMenu.ts';
import { removeOwnField, type RemoveOwnField } from './removeOwnField.ts';
import { removePage, type RemovePage } from './removePage.ts';
import { removePart, type RemovePart } from './removePart.ts';
import { removePlacement, type RemovePlacement } from './removePlacement.ts';
import { removePreset, type RemovePreset } from './removePreset.ts';
import { removeSharedLink, type RemoveSharedLink } from './removeSharedLink.ts';
import { setFormat, type SetFormat } from './setFormat.ts';
import { setStyle, type SetStyle } from './setStyle.ts';
import { setOwnCss, type SetOwnCss } from './setOwnCss.ts';
import { setToken, type SetToken } from './setToken.ts';
import { updateItem, type UpdateItem } from './updateItem.ts';
import { updateMenu, type UpdateMenu } from './updateMenu.ts';
import { updateOwnField, type UpdateOwnField } from './updateOwnField.ts';
import { updatePage, type UpdatePage } from './updatePage.ts';
import { updatePart, type UpdatePart } from './updatePart.ts';
import { updatePlacement, type UpdatePlacement } from './updatePlacement.ts';
import { updatePreset, type UpdatePreset } from './updatePreset.ts';
import { updateSharedLink, type UpdateSharedLink } from './updateSharedLink.ts';
import { updateSite, type UpdateSite } from './updateSite.ts';

/** Every operation there is. A kind that is missing in `operationKinds` fails the type check there. */
export type Operation =
  | AddPage
  | UpdatePage
  | MovePage
  | RemovePage
  | ImportPages
  | AddMenu
  | UpdateMenu
  | MoveMenu
  | RemoveMenu
  | AddItem
  | UpdateItem
  | MoveItem
  | RemoveItem
  | AddPlacement
  | UpdatePlacement
  | MovePlacement
  | RemovePlacement
  | AddSharedLink
  | UpdateSharedLink
  | MoveSharedLink
  | RemoveSharedLink
  | AddOwnField
  | UpdateOwnField
  | MoveOwnField
  | RemoveOwnField
  | AddLeftFinding
  | RemoveLeftFinding
  | AddPart
  | UpdatePart
  | MovePart
  | RemovePart
  | AddPreset
  | UpdatePreset
  | RemovePreset
  | SetStyle
  | SetToken
  | SetOwnCss
  | UpdateSite
  | SetFormat;

type KindTable = {
  readonly [K in Operation['kind']]: OperationKind<Extract<Operation, { kind: K }>, Operation>;
};

/** Every kind of operation by name. A kind that is missing here fails the type check. */
export const operationKinds: KindTable = {
  addPage,
  updatePage,
  movePage,
  removePage,
  importPages,
  addMenu,
  updateMenu,
  moveMenu,
  removeMenu,
  addItem,
  updateItem,
  moveItem,
  removeItem,
  addPlacement,
  updatePlacement,
  movePlacement,
  removePlacement,
  addSharedLink,
  updateSharedLink,
  moveSharedLink,
  removeSharedLink,
  addOwnField,
  updateOwnField,
  moveOwnField,
  removeOwnField,
  addLeftFinding,
  removeLeftFinding,
  addPart,
  updatePart,
  movePart,
  removePart,
  addPreset,
  updatePreset,
  removePreset,
  setStyle,
  setToken,
  setOwnCss,
  updateSite,
  setFormat,
};

/**
 * What is known about an operation's kind. The cast is sound because the table above pairs each kind with its
 * own type.
 */
export function kindOf<O extends Operation>(operation: O): OperationKind<O, Operation> {
  return operationKinds[operation.kind] as unknown as OperationKind<O, Operation>;
}

// In the order in which one would learn them.
export { ok, no, type Result } from './base/result.ts';
export { refusal, type Refusal } from './base/refusal.ts';
export { catalogue, type ErrorCode } from './base/catalogue.ts';
export { foldText } from './base/foldText.ts';
export { mintId, ID_PATTERN, type Id, type IdKind, type RandomBits } from './base/ids.ts';
export { seededRandom } from './base/seededRandom.ts';
export { counted, listed, numbered, type Param, type Params, type Phrase } from './base/fillIn.ts';
export {
  inWords,
  paramInWords,
  phrase,
  phraseCodes,
  quoted,
  sentence,
  type Sentence,
  type SentenceCode,
} from './base/sentences.ts';
export { plainLine } from './base/plainLine.ts';
export {
  addressFormats,
  isPagePath,
  isSafeAddress,
  completeAddress,
  plainPath,
  shownAddress,
} from './base/address.ts';
export { directionOf } from './base/directionOf.ts';
export { capitalised } from './base/capitalised.ts';
export { isEqual } from './base/isEqual.ts';
export { fnv1a, FNV_START } from './base/fnv1a.ts';
export { Table } from './base/table.ts';
export { Sequence } from './base/sequence.ts';

export {
  closed,
  recordOf,
  someOf,
  IdShape,
  SentenceShape,
  KeyShape,
  LabelShape,
  LanguageShape,
  AddressShape,
  LONGEST_LABEL,
  LONGEST_ADDRESS,
} from './schema/shapes.ts';
export { SiteShape, isReservedKey, type Site } from './schema/site.ts';
export { placings, PlacingShape, type Placing } from './schema/page.ts';
export {
  PageShape,
  PageStateShape,
  PageKindShape,
  type Page,
  type PageAnchor,
  type PageKind,
  type PageState,
} from './schema/page.ts';
export {
  FollowShape,
  followOrders,
  MOST_LEVELS,
  type Follow,
  type FollowOrder,
  type FollowException,
  type Pin,
} from './schema/follow.ts';
export { LeftFindingShape, LONGEST_REASON, type LeftFinding } from './schema/leftFinding.ts';
export { MenuShape, type Menu, type MenuUsual } from './schema/menu.ts';
export { ItemShape, DestinationShape, type Item, type Destination, type AgreedFacts } from './schema/item.ts';
export { deviceClasses, type DeviceClass } from './schema/deviceClass.ts';
export {
  addableKinds,
  areas,
  canBeIn,
  behaviours,
  exceptionId,
  type Behaviour,
  LEAST_AREA,
  LEAST_TAKEOVER,
  menuSigns,
  MOST_AREA,
  MOST_TAKEOVER,
  type MenuSign,
  zoneNames,
  type AreaName,
  type ExceptionOn,
  policies,
  type Faces,
  type Fits,
  type Policy,
  type RootName,
  type ZoneName,
  definitionOf,
  fieldsOf,
  GRID_COLUMNS,
  heldBy,
  HIGHEST_ROW,
  LEAST_ROW,
  MOST_PAGES,
  PageSourceShape,
  partFacts,
  partField,
  partFieldNames,
  partFields,
  partKinds,
  PartShape,
  partShapes,
  partWords,
  pictureRatios,
  type FieldNames,
  type PageSource,
  type Part,
  type PartFacts,
  type PartField,
  type PartKind,
  type PartOf,
} from './schema/part.ts';
export type { Choice, Control } from './schema/parts/control.ts';
export type { Field, Fields, PartDefinition } from './schema/parts/definePart.ts';
export { RichTextShape, MOST_BLOCKS, type Block, type RichText, type Run } from './schema/richText.ts';
export {
  LARGEST_PICTURE,
  pictureName,
  PictureShape,
  pictureWidths,
  widthsOf,
  type Picture,
} from './schema/picture.ts';
export { PartSketchShape, PresetShape, type PartSketch, type Preset } from './schema/preset.ts';
export {
  PlacementShape,
  PlaceShape,
  places,
  placePhrase,
  type Placement,
  type Place,
} from './schema/placement.ts';
export { SharedLinkShape, type SharedLink } from './schema/sharedLink.ts';
export { OwnFieldShape, type OwnField, type OwnFieldType } from './schema/ownField.ts';
export {
  badgePositions,
  BadgeShape,
  SettingsShape,
  IconShape,
  settingFields,
  settingNames,
  type Activation,
  type Badge,
  type Icon,
  type OwnValue,
  type SettingName,
  type Settings,
} from './schema/settings.ts';
export { forests, ofEachForest, type ForestDefinition } from './schema/forests.ts';
export { readPanel } from './schema/readPanel.ts';
export { readSettings } from './schema/readSettings.ts';
export { FORMAT, StoredDocumentShape, type StoredDocument } from './schema/format.ts';

export { preorder } from './walk/preorder.ts';
export { ancestors } from './walk/ancestors.ts';
export { mapTree } from './walk/mapTree.ts';

export { refsOf } from './refs/refsOf.ts';
export type { Path, Ref, RefRole, RefTarget } from './schema/ref.ts';

export {
  newDocument,
  forestOf,
  forestNames,
  type SiteDocument,
  type ForestName,
  type NodeOf,
} from './model/document.ts';
export {
  childrenOf,
  nodeAt,
  spotOf,
  withNodeChanged,
  withNodesLast,
  emptyForest,
  type Forest,
  type Rooted,
  type Spot,
} from './model/forest.ts';
export { branchOf } from './model/branchOf.ts';
export { isWithin } from './model/isWithin.ts';
export { menuOf } from './model/menuOf.ts';
export { labelOf, nameOf, partName, writtenOut } from './model/labelOf.ts';
export { faceOf, type Face } from './model/faceOf.ts';
export { usersOf } from './model/usersOf.ts';
export type { Sketch, SketchTarget } from './model/sketch.ts';
export { itemsOf } from './model/itemsOf.ts';
export { partsIn } from './model/partsIn.ts';
export { filesIn } from './model/filesIn.ts';
export { frameLinks, linksIn, type MenuLink } from './model/linksIn.ts';
export { changesBetween, withChanges, type DocumentChanges } from './model/documentChanges.ts';
export { agreedFacts } from './model/agreedFacts.ts';
export { latestSince } from './model/latestSince.ts';
export { storedOrder } from './model/storedOrder.ts';
export { findBreach } from './model/findBreach.ts';
export { breachAmong, type NodeName } from './model/breachAmong.ts';
export { partProblem } from './model/partProblem.ts';
export { hrefOf } from './model/hrefOf.ts';
export { areaId, areaWords, behaviourId, ownerOf, zoneId } from './model/partRoots.ts';
export { onlyId } from './model/partProblem.ts';
export { areaAround, wayUp } from './model/wayUp.ts';
export { meantPart } from './model/usedPart.ts';
export { canYield, usesInDrawer, usualParts } from './model/frameParts.ts';
export { piecesOf, withPiece, emptyOf, type DocumentPiece } from './model/pieces.ts';
export { toStored, readStored } from './model/stored.ts';

export { kindOf, operationKinds, type Operation } from './ops/registry.ts';
export {
  EDIT_VERSION,
  EditShape,
  LoggedEditShape,
  OperationShape,
  type Edit,
  type LoggedEdit,
} from './ops/edit.ts';
export { applyEdit } from './ops/applyEdit.ts';
export { rebaseEdit, type PastEdit } from './ops/rebaseEdit.ts';
export { filesNamed } from './ops/operationRefs.ts';
export { invertEdit } from './ops/invertEdit.ts';
export { settingPhrase } from './ops/updateItem.ts';
export type { Touched } from './ops/kit/operationKind.ts';
export type { ImportPages } from './ops/importPages.ts';

export { latestFormat, upgraded, type Upgraded } from './upgrades/upgraded.ts';
export { upgradeSteps, type UpgradeStep } from './upgrades/upgradeSteps.ts';

export { diffPages, type IncomingPage, type DiffChoices } from './diff/diffPages.ts';
export { diffReading, type ReadingDiff, type RecognisedBy } from './diff/diffReading.ts';
export { compareLooks } from './diff/compareLooks.ts';
export { compareFrames, frameSource, withSource, type FrameSource } from './diff/compareFrames.ts';
export { compareMenus, changeInWords, type MenuChange } from './diff/compareMenus.ts';

export { createFilling, withFollowed, followedId, type FillFollowed } from './resolve/withFollowed.ts';
export type { CompareTitles } from './resolve/followedPages.ts';
export type { OwnValues, ResolvedItem, ResolvedMenu, ResolvedPart } from './resolve/resolved.ts';
export { fitsType } from './schema/ownField.ts';
export { changeTree, type ChangeRow, type ChangeTree } from './diff/changeRows.ts';
export { dropdownOf, usualOf } from './model/menuUsual.ts';
export { makePartsAlike, partsOfItsKind, unlikeParts } from './commands/partsAlike.ts';
export { skippedItems, type SkippedItem, type SkipReason } from './checks/skippedItems.ts';
export { resolveMenu, type ResolveChoices } from './resolve/resolveMenu.ts';
export {
  addBand,
  addPlace,
  addToFrame,
  pagesOf,
  removeExceptions,
  setException,
  setBehaviours,
  setShownMenu,
  type ExceptionSays,
  type FrameAddition,
} from './commands/frame.ts';
export { addDrawer, addToDrawer, removeDrawer } from './commands/drawer.ts';
export {
  arrangeApart,
  arrangementOf,
  arrangeTogether,
  notPlaced,
  placeOnDevice,
  type ArrangedDevice,
} from './commands/arrangement.ts';
export { setSite, setWord } from './commands/siteFacts.ts';
export type { SiteChanges } from './ops/updateSite.ts';
export {
  shippedWords,
  visitorWordNames,
  wordsIn,
  type VisitorWord,
  type VisitorWords,
} from './base/visitorWords.ts';
export { USUAL_CONTENT, usualMargins } from './schema/site.ts';
export { placementOf, placementsIn, type Placed } from './resolve/placementOf.ts';
export { exceptionsOf, situationOn, winning, type Situation } from './resolve/frameExceptions.ts';
export {
  placementTable,
  type PlacementRow,
  type PlacementTable,
  type Shown,
} from './resolve/placementTable.ts';
export {
  areaFacts,
  resolveArea,
  resolvePlaces,
  siteWords,
  type AreaFacts,
  type FrameSources,
  type ResolvedArea,
} from './resolve/resolveFrame.ts';
export { signPaths } from './parts/menuButton.ts';
export { filesShown } from './resolve/filesShown.ts';

export { renderMenu, renderPanel, formOf, type RenderChoices, type MenuForm } from './render/renderMenu.ts';
export {
  renderEdition,
  resolvedMenus,
  type Edition,
  type EditionChoices,
  type EditionFile,
} from './render/renderEdition.ts';
export { type FragmentFile, type FrameIndex } from './render/editionFrame.ts';
export { fillSlot, type PageFacts } from './render/fillSlot.ts';
export {
  frameProblem,
  frameTable,
  MOST_VARIANTS,
  varied,
  type Combination,
  type FrameTable,
  type Varied,
} from './render/frameVariants.ts';
export {
  allParts,
  frameAreas,
  renderArea,
  renderPlace,
  renderSkip,
  type Fragment,
  type FrameArea,
  type FrameChoices,
  type Slot,
} from './render/renderFrame.ts';
export { renderPage, type PageChoices, type RenderedPage } from './render/renderPage.ts';
export { renderPreview, type PreviewChoices } from './render/renderPreview.ts';
export { pageTable, type PageRow } from './render/pageTable.ts';
export { currentMarks, markPlaces, type MarkPlaces } from './render/currentMarks.ts';
export { splice, type Insert } from './render/splice.ts';
export { isFetched } from './render/panelHtml.ts';
export { renderStyles, situationsOfHeader } from './render/renderStyles.ts';
export { dataExample, embedSnippet, includesExample, type Embedded } from './render/embedding.ts';
export { embedScript } from './render/embedScript.ts';
export { siteScript, siteScripts, wholeScript } from './render/siteScript.ts';
export { escapeHtml } from './base/escape.ts';
export { cleanTree, type CleanHtml, type Removed } from './html/cleanTree.ts';
export { isCleanHtml } from './html/isCleanHtml.ts';
export type { HtmlElement, HtmlNode } from './html/htmlNode.ts';
export { HIGHEST_BAND, LEAST_BAND } from './schema/parts/band.ts';
export { LEAST_LOGO, MOST_LOGO } from './schema/parts/logo.ts';
export { LONGEST_HTML } from './schema/parts/html.ts';
export { languageProblem } from './base/languageTag.ts';
export {
  frameStarters,
  isFramePreset,
  frameOnSite,
  portableFrame,
  saveFrameStarter,
  useFrameStarter,
  type FrameStarter,
} from './commands/frameStarters.ts';
export { readFrame } from './schema/readFrame.ts';
export type { PortableSketch } from './schema/preset.ts';
export { firstFree } from './base/firstFree.ts';
export { pathKey } from './base/pathKey.ts';

export {
  anatomy,
  lineOf,
  propertiesOf,
  states,
  thingNames,
  thingOf,
  type State,
  type Thing,
  type ThingName,
} from './anatomy/anatomy.ts';
export {
  factsOf,
  properties,
  propertyGroups,
  propertyNames,
  type Property,
  type PropertyFacts,
  type PropertyGroup,
} from './anatomy/properties.ts';
export { selectorsIn } from './anatomy/specificity.ts';
export {
  dividerSigns,
  fillOf,
  namesIn,
  roleProperty,
  tokenProperty,
  valueKinds,
  type Fill,
  type ValueFacts,
} from './anatomy/values.ts';
export { isRole, roleNames, roles as paletteRoles, type RoleName } from './anatomy/roles.ts';
export { fontNames, fontOf, systemFonts } from './anatomy/fonts.ts';
export { colourShown, colourTyped, plainColour } from './model/colourWords.ts';
export { colourSteps, contrastOf, hexOf, oklchOf, readColour, rgbOf, stepOf } from './colour/colour.ts';
export {
  plainPalette,
  darkCss,
  paletteOf,
  plainValue,
  tokenCss,
  valueOfName,
  type Palette,
  type PaletteEntry,
} from './model/palette.ts';
export {
  FONT_SAMPLE,
  fontFileName,
  FontFileShape,
  MOST_FONT_FILES,
  type FontFile,
} from './schema/fontFile.ts';
export {
  addFont,
  addFontFiles,
  addToken,
  fillWithPicture,
  removeToken,
  setFontDisplay,
  type FontClass,
  type MadePicture,
  renameToken,
  setToken,
  usesOfToken,
  setDarkToken,
} from './commands/palette.ts';
export {
  LONGEST_TOKEN_NAME,
  tokenExpected,
  tokenKinds,
  tokenPatterns,
  tokenId,
  TokenShape as DesignTokenShape,
  type Token,
  type TokenKind,
  type TokenTarget,
} from './schema/token.ts';
export type { SetToken } from './ops/setToken.ts';
export { rankedStyles, resolveStyle, type ResolvedStyle, type StyleChoices } from './style/resolveStyle.ts';
export { compileStyles, declarationsFor } from './style/compileStyles.ts';
export { plainSheet, type Scope, type SetLook, type Sheet } from './style/sheet.ts';
export { entryStyle } from './resolve/entryStyle.ts';
export { scopeOf, sheetOf, styledIn } from './resolve/sheetOf.ts';
export {
  areaOfOwner,
  hasOwner,
  nameOfOwner,
  templateOf as styleTemplateOf,
  templateOwner,
  levelOwner,
  levelOf,
  variantOf,
  variantOwner,
} from './model/styleOwner.ts';
export {
  schemes,
  situations,
  StyleShape,
  styleId,
  targetOf,
  valuesOfStyle,
  type Scheme,
  type Situation as HeaderSituation,
  type Style,
  type StyleSet,
  type StyleTarget,
  type StyleValues,
} from './schema/style.ts';
export type { SetStyle } from './ops/setStyle.ts';
export { resetLooks, setEntryLooks, setFixes, setLooks } from './commands/looks.ts';
export { leastScrim, nearestPassing } from './contrast/nearestPassing.ts';
export { placesOf, type DrawnElement, type DrawnPlace } from './contrast/places.ts';
export { fixesForAll, fixFor, fixOperation, isFailing, pairKey, type ContrastFix } from './contrast/fixes.ts';
export { contrastPairs, NEEDED, type ContrastPair, type PairKind } from './contrast/pairs.ts';
export { overriding } from './style/overriding.ts';
export { deliveredStyles, previewStyles } from './style/previewStyles.ts';
export { chosenStarter, starterByKey, type ChosenStarter } from './model/chosenStarter.ts';
export { starters as lookStarters } from './starters/starters.ts';
export { starterKeys, type StarterKey } from './starters/starterRoles.ts';
export { StarterStyleShape, type OwnStarter, type StarterStyle } from './schema/ownStarter.ts';
export { importNames, namesChanged, type NamedValue } from './commands/importNames.ts';
export { setDark } from './commands/dark.ts';
export { inScheme } from './style/previewStyles.ts';
export { darkOf } from './colour/colour.ts';
export { writeOwnCss } from './commands/ownCss.ts';
export {
  ownCssId,
  MOST_CSS_RULES,
  type CssRule,
  type CssStyleRule,
  type CssDeclarations,
  type CssGroup,
  type CssGroupRule,
  type CssKeyframes,
  cssGroups,
  CssRulesShape,
  OwnCssShape,
  type OwnCss,
} from './schema/ownCss.ts';
export { cssProblem, declarationsProblem, selectorProblem } from './model/cssProblem.ts';
export { ownSelectors, printOwnCss, writeCss, type OwnPlace } from './style/ownCss.ts';
export { importStyle, styleChanged, styleOf } from './commands/styleFile.ts';
export { portableStyleShape, readStyle, type PortableStyle } from './schema/styleFile.ts';
export { whyShown, type ShownReason } from './resolve/whyShown.ts';
export { withStandIns } from './resolve/standIns.ts';
export { addVariant, removeVariant, renameVariant } from './commands/variants.ts';
export { PLAIN_BUTTON, variantClass, variantNamed, variantsOf, type Variant } from './model/variants.ts';
export { chooseStarter, removeStarter, resetToStarter, saveStarter } from './commands/lookStarters.ts';

export { balanceColumns, packColumns } from './panel/balanceColumns.ts';
export { dropdownWith, type DropdownChanges } from './panel/dropdownWith.ts';
export { freeColumns, shapeCells, spansWithCell, spansWithout } from './panel/shapeCells.ts';
export { notYetShown, shownApart } from './panel/shownApart.ts';
export { sweepPanel, type PanelSweep, type WidthRange } from './panel/sweepPanel.ts';
export { panelColumns, type PanelColumns } from './panel/panelColumns.ts';
export {
  placePanel,
  PANEL_MARGIN,
  type Extent,
  type PanelAlign,
  type PanelPlace,
  type PanelSurroundings,
  type Span,
} from './panel/placePanel.ts';
export {
  DropdownShape,
  dropdownForms,
  extents,
  LEAST_WIDTH,
  mediumForms,
  MOST_COLUMNS,
  MOST_OFFSET,
  MOST_WIDTH,
  narrowForms,
  openings,
  panelAligns,
  type Dropdown,
  type DropdownForm,
  type ListFacts,
  type PanelFacts,
} from './schema/dropdown.ts';
export { createDrift, driftOf, driftOfMenu, type DriftSources, type TellDrift } from './drift/driftOf.ts';
export {
  findingInWords,
  findingKinds,
  fixInWords,
  toneOf,
  type Finding,
  type FindingKind,
  type FindingTone,
  type Mend,
  type MendKind,
} from './drift/finding.ts';
export { byCause, causeInWords, fixAllInWords, type Cause } from './drift/causes.ts';

export { can, roles, type Actor, type Role, type Intent } from './commands/permission.ts';
export { isFollowed, isFollowing, holderOf, type FilledFrom } from './commands/throughFollowed.ts';
export {
  follow,
  unfollow,
  followOf,
  sourcePhrase,
  exceptionWords,
  takeExceptionBack,
} from './commands/follow.ts';
export {
  leaveFinding,
  mendDrift,
  openFindings,
  safeMends,
  spotInOrder,
  takeUpFinding,
  type ToMend,
} from './commands/mendDrift.ts';
export { makeEdit, storedOf, type CommandContext, type EditChoices } from './commands/context.ts';
export { checkLabel } from './commands/checkLabel.ts';
export { topmost } from './commands/topmost.ts';
export * from './commands/items.ts';
export { destinationOnSite, destinationTyped } from './commands/destinationTyped.ts';
export {
  setItems,
  makeAlike,
  unlikeSiblings,
  type AlikeName,
  type ItemChanges,
} from './commands/settings.ts';
export { addShared, createLink, detachItem, removeLink, shareItem } from './commands/sharedLinks.ts';
export * from './commands/pages.ts';
export { keepInColumn } from './commands/panels.ts';
export * from './commands/composing.ts';
export { addCell, enclosing, shapeCell } from './commands/panelCells.ts';
export {
  panelSketch,
  partsFrom,
  removePreset,
  renamePreset,
  savePreset,
  shippedPresets,
  usePreset,
  type PresetFor,
  type ShippedPreset,
} from './commands/presets.ts';
export { MOST_TAKEN, pagesToTake, chunksOf, takeChunk } from './commands/takePages.ts';
export { planPage, type PlannedPage } from './commands/planPage.ts';
export { bringIn, planSketch, type ImportPlan, type PlannedItem } from './commands/bringIn.ts';
export { sketchOf } from './commands/sketchOf.ts';
export { starters, starterSketch, starterFor, type Starter } from './commands/starters.ts';
export {
  createMenu,
  renameMenu,
  retireMenu,
  setMenu,
  placeMenu,
  keyFrom,
  checkKey,
  type MenuFill,
  type NewMenu,
} from './commands/menus.ts';
export { declareField, removeField } from './commands/ownFields.ts';
export { undoEdit, type ToTakeBack } from './commands/undo.ts';

export { newHistory, withEdit, withoutSkipped, nextUndo, nextRedo, type History } from './history/history.ts';
export { takeBack, type KnownEdit } from './history/takeBack.ts';

export { acceptEdit, type Past, type Accepted } from './saving/acceptEdit.ts';
export * from './saving/workingCopy.ts';
export { takeBackNext, type TakenBack } from './saving/takeBackNext.ts';
export { lostParts, type LostPart } from './checks/lostParts.ts';

// Fit: how wide things are, and what that makes of them at every width of the window.
export { conditionOf } from './style/printRules.ts';
export { drawerTakesOver, fitChoiceOf, fitChoices, setFit, type FitChoice } from './commands/fits.ts';
export { barFits, type BarFits } from './fit/barFits.ts';
export { fitBar, measuredBar, windowsOf, type BarStretch } from './fit/fitBar.ts';
export type { MeasuredBar } from './fit/barEntry.ts';
export { areasOn } from './resolve/areasOn.ts';
export type { HeaderFacts } from './fit/fitBand.ts';
export {
  fitFix,
  fitSuggestions,
  withFitFix,
  type FitFix,
  type FitSuggestion,
} from './commands/fitSuggestions.ts';
export {
  fitModes,
  inMode,
  lanesIn,
  problemsInModes,
  textIn,
  type FitMode,
  type ModeProblem,
} from './fit/fitModes.ts';
export { problemsOf, widthsIn, type FitProblem } from './fit/fitProblems.ts';
export { factsOn, fitPage, type FitFacts } from './fit/fitPage.ts';
export { isProblem, type Lane, type LaneState, type LaneStretch } from './fit/lane.ts';
export { breaksAt, roomFor, rowsOf, type Line, type RowsBetween } from './fit/rows.ts';
export type { Measure, TextFont } from './fit/measure.ts';

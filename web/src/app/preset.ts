import { definePreset } from '@primeuix/themes'
import autocomplete from '@primeuix/themes/aura/autocomplete'
import button from '@primeuix/themes/aura/button'
import checkbox from '@primeuix/themes/aura/checkbox'
import confirmpopup from '@primeuix/themes/aura/confirmpopup'
import contextmenu from '@primeuix/themes/aura/contextmenu'
import datatable from '@primeuix/themes/aura/datatable'
import datepicker from '@primeuix/themes/aura/datepicker'
import dialog from '@primeuix/themes/aura/dialog'
import drawer from '@primeuix/themes/aura/drawer'
import fileupload from '@primeuix/themes/aura/fileupload'
import inputnumber from '@primeuix/themes/aura/inputnumber'
import inputtext from '@primeuix/themes/aura/inputtext'
import listbox from '@primeuix/themes/aura/listbox'
import message from '@primeuix/themes/aura/message'
import multiselect from '@primeuix/themes/aura/multiselect'
import popover from '@primeuix/themes/aura/popover'
import progressbar from '@primeuix/themes/aura/progressbar'
import radiobutton from '@primeuix/themes/aura/radiobutton'
import select from '@primeuix/themes/aura/select'
import selectbutton from '@primeuix/themes/aura/selectbutton'
import stepper from '@primeuix/themes/aura/stepper'
import tabs from '@primeuix/themes/aura/tabs'
import tag from '@primeuix/themes/aura/tag'
import textarea from '@primeuix/themes/aura/textarea'
import toast from '@primeuix/themes/aura/toast'
import togglebutton from '@primeuix/themes/aura/togglebutton'
import virtualscroller from '@primeuix/themes/aura/virtualscroller'

const STEPS = [50, 100, 200, 300, 400, 500, 600, 700, 800, 900, 950] as const

/** A color of ours where a component asks for a hue: pale steps are our glass, all others the color itself. */
function hue(token: string): Record<number, string> {
  return Object.fromEntries(STEPS.map((step) => [step, step <= 100 ? 'var(--glass)' : token]))
}

const FOCUS = 'var(--focus)'
const INK = 'var(--ink)'
const SOFT = 'var(--soft)'
const NO_SHADOW = 'none'

/** From the lightest that things lie on to the darkest that is written with; in the dim theme the same names
 * stand for what is dark and what is light. */
const surface = {
  0: 'var(--glass)',
  50: 'var(--paper)',
  100: 'var(--glass)',
  200: 'var(--wash)',
  300: 'var(--chip)',
  400: 'var(--control-line)',
  500: SOFT,
  600: INK,
  700: INK,
  800: INK,
  900: INK,
  950: INK,
}

const primary = { color: FOCUS, contrastColor: 'var(--on-focus)', hoverColor: FOCUS, activeColor: FOCUS }

const text = { color: INK, hoverColor: INK, mutedColor: SOFT, hoverMutedColor: INK }

const formField = {
  paddingX: '12px',
  paddingY: '9px',
  sm: { fontSize: '0.875rem', paddingX: '9px', paddingY: '5px' },
  lg: { fontSize: '1.07rem', paddingX: '16px', paddingY: '10px' },
  borderRadius: '{border.radius.sm}',
  focusRing: { width: '3px', style: 'solid', color: FOCUS, offset: '1px', shadow: NO_SHADOW },
  transitionDuration: '{transition.duration}',
  background: 'var(--glass)',
  disabledBackground: 'var(--paper)',
  filledBackground: 'var(--glass)',
  filledHoverBackground: 'var(--glass)',
  filledFocusBackground: 'var(--glass)',
  borderColor: 'var(--control-line)',
  hoverBorderColor: INK,
  focusBorderColor: FOCUS,
  invalidBorderColor: 'var(--late)',
  color: INK,
  disabledColor: SOFT,
  placeholderColor: SOFT,
  invalidPlaceholderColor: SOFT,
  iconColor: SOFT,
  shadow: NO_SHADOW,
}

const content = {
  borderRadius: '{border.radius.sm}',
  background: 'var(--paper)',
  hoverBackground: 'var(--wash)',
  borderColor: 'var(--line)',
  color: INK,
  hoverColor: INK,
}

const lain = { background: 'var(--paper)', borderColor: INK, color: INK, shadow: NO_SHADOW }
const overlay = {
  select: { ...lain, borderRadius: '{border.radius.sm}' },
  popover: { ...lain, borderRadius: '{border.radius.sm}', padding: '10px 14px' },
  modal: { ...lain, borderRadius: '{border.radius.sm}', padding: '16px' },
  navigation: { shadow: NO_SHADOW },
}

const chosen = { background: 'var(--wash)', focusBackground: 'var(--wash)', color: INK, focusColor: INK }

const list = {
  padding: '4px',
  gap: '0',
  header: { padding: '8px 12px 4px' },
  option: {
    padding: '10px 12px',
    borderRadius: '{border.radius.xs}',
    focusBackground: 'var(--wash)',
    selectedBackground: 'var(--chip)',
    selectedFocusBackground: 'var(--chip)',
    color: INK,
    focusColor: INK,
    selectedColor: INK,
    selectedFocusColor: INK,
    icon: { color: SOFT, focusColor: INK },
  },
  optionGroup: { padding: '10px 12px 2px', fontWeight: '700', background: 'transparent', color: SOFT },
}

const navigation = {
  list: { padding: '4px', gap: '0' },
  item: {
    padding: '10px 12px',
    borderRadius: '{border.radius.xs}',
    gap: '8px',
    focusBackground: 'var(--wash)',
    activeBackground: 'var(--wash)',
    color: INK,
    focusColor: INK,
    activeColor: INK,
    icon: { color: SOFT, focusColor: INK, activeColor: INK },
  },
  submenuLabel: { padding: '8px 12px', fontWeight: '700', background: 'transparent', color: SOFT },
  submenuIcon: { size: '14px', color: SOFT, focusColor: INK, activeColor: INK },
}

const semantic = {
  transitionDuration: '0s',
  focusRing: { width: '3px', style: 'solid', color: FOCUS, offset: '2px', shadow: NO_SHADOW },
  disabledOpacity: '0.55',
  iconSize: '1rem',
  anchorGutter: '4px',
  surface,
  primary: { ...hue(FOCUS), ...primary },
  highlight: chosen,
  mask: { transitionDuration: '0s', background: 'var(--scrim)', color: INK },
  formField,
  text,
  content,
  overlay,
  list,
  navigation,
}

/** What is pressed beside the one thing that a screen is about: outlined, on glass. */
const beside = {
  background: 'var(--glass)',
  hoverBackground: 'var(--wash)',
  activeBackground: 'var(--chip)',
  borderColor: 'var(--control-line)',
  hoverBorderColor: INK,
  activeBorderColor: INK,
  color: INK,
  hoverColor: INK,
  activeColor: INK,
}

/** The interface's parts, grown from our own tokens: one look in both themes, dense where a shelf is dense,
 * large where a thumb goes. */
export const preset = definePreset(
  {
    primitive: {
      borderRadius: { none: '0', xs: '2px', sm: '4px', md: '4px', lg: '4px', xl: '4px' },
      green: hue('var(--done)'),
      yellow: hue('var(--held)'),
      orange: hue('var(--held)'),
      red: hue('var(--late)'),
      blue: hue(FOCUS),
      sky: hue(FOCUS),
    },
    semantic,
    components: {
      autocomplete,
      button,
      checkbox,
      confirmpopup,
      contextmenu,
      datatable,
      datepicker,
      dialog,
      drawer,
      fileupload,
      inputnumber,
      inputtext,
      listbox,
      message,
      multiselect,
      popover,
      progressbar,
      radiobutton,
      select,
      selectbutton,
      stepper,
      tabs,
      tag,
      textarea,
      toast,
      togglebutton,
      virtualscroller,
    },
  },
  {
    components: {
      button: {
        root: { label: { fontWeight: '700' } },
        colorScheme: { light: { root: { secondary: beside } } },
        css: () => `
          .p-button { min-height: 40px; font-size: 0.9375rem; line-height: 1.3; }
          .p-button:not(.p-button-secondary, .p-button-link) { min-height: 44px; font-weight: 700; }
          .p-button-link { min-height: 24px; }
          .p-button:not(.p-button-secondary) kbd { border-color: currentcolor; background: none; color: inherit; }
          @media (pointer: coarse) { .p-button, .p-button-link { min-height: 44px; } }
        `,
      },
      checkbox: { root: { width: '22px', height: '22px' } },
      contextmenu: { item: { padding: '5px 12px' } },
      dialog: { root: { borderColor: INK }, header: { gap: '12px' } },
      radiobutton: { root: { width: '22px', height: '22px' } },
      togglebutton: {
        colorScheme: { light: { content: { checkedBackground: 'var(--chip)' } } },
        content: { checkedShadow: `inset 0 -3px 0 ${FOCUS}` },
      },
      tabs: { tab: { padding: '8px 12px' }, tablist: { background: 'transparent' } },
    },
  },
)

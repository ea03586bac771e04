import { Button, Checkbox, createTheme, Modal, MultiSelect, NativeSelect, Select, Textarea, TextInput, type MantineColorsTuple } from '@mantine/core';

const grey: MantineColorsTuple = ['#f7f7f7', '#ececec', '#dcdcdc', '#c4c4c4', '#a6a6a6', '#7d7d7d', '#5c5c5c', '#414141', '#2b2b2b', '#1a1a1a'];

const input = { classNames: { input: 'field', label: 'field-label', error: 'field-error', description: 'field-about' } };

/** Nothing of the library's default look stays: neutral greys, square corners, our type, no shadows. */
export const theme = createTheme({
    fontFamily: '"Atkinson Hyperlegible Next Variable", sans-serif',
    headings: { fontFamily: '"Barlow Condensed", sans-serif', fontWeight: '600' },
    colors: { grey, dark: ['#e8e8e8', '#d2d2d2', '#b4b4b4', '#8f8f8f', '#6b6b6b', '#4d4d4d', '#383838', '#2a2a2a', '#1f1f1f', '#161616'] },
    primaryColor: 'grey',
    primaryShade: 9,
    defaultRadius: 3,
    radius: { xs: '3px', sm: '3px', md: '3px', lg: '3px', xl: '3px' },
    shadows: { xs: 'none', sm: 'none', md: 'none', lg: 'none', xl: 'none' },
    focusRing: 'never',
    components: {
        Button: Button.extend({ classNames: { root: 'press' }, defaultProps: { size: 'md', variant: 'unstyled' } }),
        TextInput: TextInput.extend(input),
        Textarea: Textarea.extend(input),
        NativeSelect: NativeSelect.extend(input),
        Select: Select.extend({ classNames: { ...input.classNames, dropdown: 'field-list', option: 'field-option' }, defaultProps: { comboboxProps: { transitionProps: { duration: 0 } } } }),
        MultiSelect: MultiSelect.extend({ classNames: { ...input.classNames, dropdown: 'field-list', option: 'field-option', pill: 'field-pill' }, defaultProps: { comboboxProps: { transitionProps: { duration: 0 } } } }),
        Checkbox: Checkbox.extend({ classNames: { input: 'tick', icon: 'tick-icon', label: 'tick-label' } }),
        Modal: Modal.extend({
            classNames: { content: 'sheet', header: 'sheet-head', title: 'sheet-title', body: 'sheet-body', close: 'sheet-close', overlay: 'sheet-over' },
            defaultProps: { centered: true, transitionProps: { duration: 0 }, closeButtonProps: { 'aria-label': 'Close' } },
        }),
    },
});

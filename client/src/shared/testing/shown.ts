/** Showing a component in unit tests as the application does: with the cache of queries, without a router. */
import { QueryClient, VueQueryPlugin } from '@tanstack/vue-query'
import { mount, type VueWrapper } from '@vue/test-utils'
import type { Component } from 'vue'

const LINK = { props: ['to'], template: '<a><slot /></a>' }

/** The cache of queries as a plugin; what is asked for is asked for once. */
export function queries(): [typeof VueQueryPlugin, object] {
  const queryClient = new QueryClient({
    defaultOptions: { queries: { retry: false, networkMode: 'always' } },
  })
  return [VueQueryPlugin, { queryClient }]
}

/** Mount `component` with `props`; what it asks for is asked for once. */
export function shown(component: Component, props: object = {}, stubs: object = {}): VueWrapper {
  return mount(component, {
    props: props as never,
    attachTo: document.body,
    global: {
      plugins: [queries()],
      stubs: { RouterLink: LINK, ...stubs },
    },
  })
}

/** Choose a value in the select that is called `label`. */
export async function chooseIn(wrapper: VueWrapper, label: string, value: unknown): Promise<void> {
  const select = wrapper
    .findAllComponents({ name: 'ElSelect' })
    .find((one) => one.props('ariaLabel') === label || one.attributes('aria-label') === label)
  if (!select) throw new Error(`there is no select “${label}”`)
  select.vm.$emit('update:modelValue', value)
  select.vm.$emit('change', value)
  await wrapper.vm.$nextTick()
}

/** Press the button that says `text`. */
export async function press(wrapper: VueWrapper, text: string): Promise<void> {
  const button = wrapper.findAll('button, a').find((one) => one.text() === text)
  if (!button) throw new Error(`there is no button “${text}”`)
  await button.trigger('click')
}

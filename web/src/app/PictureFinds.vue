<script setup lang="ts">
import { computed } from 'vue'
import { decimal, percent, plural } from '@/shared/format'
import { usePictureSearch } from '@/shared/stores/picture-search'
import { useRules } from '@/shared/stores/rules'
import { useFollow } from '@/shared/use-follow'
import BareButton from '@/shared/widgets/BareButton.vue'
import GoodsPicture from '@/shared/widgets/GoodsPicture.vue'
import HouseModal from '@/shared/widgets/HouseModal.vue'
import ProfitFigure from '@/shared/widgets/ProfitFigure.vue'

/** What looks like a picture that was dropped. */
const search = usePictureSearch()
const rules = useRules()
const follow = useFollow()
const isOpen = computed({ get: () => search.isOpen, set: (open) => (search.isOpen = open) })
async function look(key: string, title: string) {
  search.isOpen = false
  await follow.item(key, title)
}
</script>

<template>
  <HouseModal v-model:show="isOpen" title="What looks like it" :width="720">
    <div class="asked row-gap">
      <img v-if="search.asked && !search.fault" :src="search.asked" alt="The picture that was dropped" />
      <p v-if="search.fault" role="alert" class="loss small">{{ search.fault }}</p>
      <p v-else-if="!search.found" role="status" class="small quiet">
        Looking through the pictures … {{ percent(search.done) }}
      </p>
      <p v-else class="small quiet" role="status">
        {{ plural(search.found.length, 'picture') }}, the likest first, by shape and shade and not by colour; 1 is the
        same. Pictures elsewhere count where Settings let them in.
      </p>
    </div>
    <ul v-if="search.found" class="found" tabindex="0" aria-label="Pictures that look like it">
      <li v-for="f in search.found" :key="f.address">
        <GoodsPicture :src="f.address" title="" :size="52" />
        <span class="num small">{{ decimal(f.likeness, 2) }}</span>
        <div class="shown">
          <div v-for="i in f.items" :key="i.key" class="row-gap">
            <BareButton type="info" class="link" @click="look(i.key, i.title)">{{ i.title }}</BareButton>
            <ProfitFigure class="small" :e4="i.profitE4" :currency="rules.home" :assumed="i.assumed" />
          </div>
          <div v-for="o in f.offers" :key="o.key" class="small">
            <span class="quiet">{{ o.supplier }} offers</span> {{ o.title }}
          </div>
          <div v-for="a in f.ads" :key="a.ad.key" class="small">
            <span class="quiet">{{ a.ad.advertiser }} advertises</span> {{ a.ad.title || a.ad.text }}
          </div>
        </div>
      </li>
    </ul>
  </HouseModal>
</template>

<style scoped>
.asked img {
  max-width: 110px;
  max-height: 110px;
  border-radius: 6px;
  border: 1px solid var(--line);
}
.found {
  list-style: none;
  margin: 12px 0 0;
  padding: 0;
  max-height: 440px;
  overflow-y: auto;
}
.found li {
  display: grid;
  grid-template-columns: 52px 44px minmax(0, 1fr);
  gap: 10px;
  align-items: start;
  padding: 8px 0;
  border-top: 1px solid var(--line);
}
.shown {
  display: grid;
  gap: 2px;
}
</style>

import { field } from '../../field'

/** Fields of amounts, and shares of them. */
export const price = field({
  name: 'price',
  label: 'Price',
  type: 'money',
  headings: {
    en: 'price, item price, asking price, selling price, sale price, unit price, current price, list price, listing price, average price, price value, price amount, offer price, retail price, ask, sold for, price each, avg price, price incl vat, rrp, price now, cost value, cost, price per unit, pp, gross price, avg sold price, pr, prc, each, how much, sells for, their price',
    de: 'preis, verkaufspreis, vk, vk preis, vk brutto, einzelpreis, stückpreis, angebotspreis, bruttopreis, preis brutto, endpreis, preis pro stück, preis je stück, ladenpreis, aktueller preis, vkp, durchschnittspreis, einzelpreis brutto, kaufpreis, artikelpreis, e preis, ep, pr, preis stk',
    fr: 'prix, prix ttc, prix de vente, prix unitaire, pu, pu ttc, pv, pv ttc, prix demandé, prix de offre, prix affiché, prix public, prix actuel, tarif, prix unit, prix vente, pu ht, prix moyen, px, px vente, p vente, px unit, p.u.',
    es: 'precio, precio de venta, pvp, precio unitario, precio unidad, precio venta, precio actual, precio oferta, precio con iva, precio unit, p unitario, pu, precio público, precio final, precio medio, p venta, p unit, prec, p.v.',
    it: 'prezzo, prezzo di vendita, prezzo vendita, prezzo unitario, prezzo unit, prezzo offerta, prezzo attuale, prezzo al pubblico, prezzo ivato, pu, prezzo finale, prezzo richiesto, prezzo medio, prz, prz vendita, prz unit, p vendita',
    nl: 'prijs, verkoopprijs, vraagprijs, stukprijs, eenheidsprijs, prijs per stuk, prijs incl btw, aanbiedingsprijs, huidige prijs, catalogusprijs, adviesprijs, gemiddelde prijs, vk prijs, pr',
    pl: 'cena, cena sprzedaży, cena brutto, cena jednostkowa, cena jedn, cena za sztukę, cena oferty, cena detaliczna, cena szt, cena aktualna, cena końcowa, średnia cena, cena sprz, cena j',
    pt: 'preço, preço de venda, preço unitário, preço unit, pvp, preço com iva, preço oferta, preço atual, preço final, preço por unidade, valor unitário, valor, preço médio, p venda, p unit, pr venda',
  },
  help: 'What a buyer pays for one, delivery apart.',
})
export const currency = field({
  name: 'currency',
  label: 'Currency',
  type: 'currency',
  headings: {
    en: 'currency, currency code, price currency, cost currency, ccy, curr, cur, iso currency',
    de: 'währung, währungscode, whg, waehrung, wkz',
    fr: 'devise, monnaie, code devise',
    es: 'moneda, divisa, código de moneda',
    it: 'valuta, divisa, codice valuta, moneta',
    nl: 'valuta, munteenheid, munt, valutacode',
    pl: 'waluta, kod waluty, wal',
    pt: 'moeda, divisa, código da moeda',
  },
  help: 'ISO 4217 code of the amounts in the row.',
})
export const delivery = field({
  name: 'delivery',
  label: 'Delivery price',
  type: 'money',
  headings: {
    en: 'delivery, shipping, postage, delivery price, shipping cost, delivery cost, shipping price, freight, shipping fee, delivery fee, delivery charge, shipping charge, ship, ship cost, postage cost, p&p, ship fee, freight cost, shipping rate, carriage, ship price',
    de: 'versand, versandkosten, porto, versandpreis, lieferkosten, fracht, frachtkosten, versandgebühr, zustellkosten, liefergebühr, porto und verpackung',
    fr: 'frais de port, port, livraison, frais de livraison, frais port, coût de livraison, expédition, frais expédition, transport, prix livraison',
    es: 'gastos de envío, envío, coste de envío, gastos envío, portes, precio de envío, transporte, costo de envío',
    it: 'spedizione, spese di spedizione, costi di spedizione, spese spedizione, costo spedizione, trasporto, porto, consegna',
    nl: 'verzendkosten, verzending, bezorgkosten, porto, leverkosten, vracht, verzendprijs',
    pl: 'dostawa, koszt dostawy, koszt wysyłki, wysyłka, przesyłka, transport, koszt przesyłki, cena dostawy',
    pt: 'portes, envio, custo de envio, despesas de envio, portes de envio, frete, entrega, custos de envio, valor do frete',
  },
  help: 'What delivery of one order costs.',
})
export const revenue = field({
  name: 'revenue',
  label: 'Sales in window',
  type: 'money',
  headings: {
    en: 'gross sales, revenue, sales value, turnover, sales amount, gmv, gross revenue, net revenue, net sales, sales revenue, total sales amount, gross, amount, sales, takings, total amount, line total, earned, revenue in window, total revenue, rev, sales total, order value, line amt, line amount, total, total price, ext price, extended price, amt',
    de: 'umsatz, erlös, umsatz brutto, umsatz netto, umsatzwert, einnahmen, gesamtumsatz, umsatzerlös, betrag, gesamtbetrag, gesamt, warenwert, gesamtpreis, ges preis, summe, zeilensumme',
    fr: "chiffre d'affaires, ca, ca ht, ca ttc, ventes, recettes, montant, montant ht, montant ttc, revenu, total des ventes, valeur des ventes, total, total ligne, total ttc, total ht, montant total",
    es: 'ingresos, facturación, importe, ventas, importe de ventas, importe total, valor de ventas, total ventas, facturado, recaudación, total, total línea',
    it: 'fatturato, ricavi, incasso, importo, vendite, valore vendite, totale vendite, ricavo, importo totale, totale, totale riga',
    nl: 'omzet, opbrengst, omzet bruto, verkoopwaarde, bedrag, verkoopbedrag, totaalbedrag, inkomsten, totaal, regeltotaal, totaal bedrag',
    pl: 'obrót, przychód, wartość, wartość sprzedaży, obroty, sprzedaż, utarg, kwota, przychody, wartość brutto, razem, suma, wartość netto',
    pt: 'faturação, faturamento, receita, receitas, valor total, valor de vendas, vendas, total de vendas, montante, volume de vendas, total, total linha',
  },
  help: 'Money taken in the window.',
})
export const averagePrice = field({
  name: 'averagePrice',
  label: 'Average price',
  type: 'money',
  headings: {
    en: 'average price, average selling price, mean price, asp, avg price, avg selling price, average order value, aov, basket',
    de: 'durchschnittspreis, mittlerer preis, durchschnittlicher preis, ø preis, warenkorb, durchschnittlicher verkaufspreis',
    fr: 'prix moyen, panier moyen, prix de vente moyen',
    es: 'precio medio, precio promedio, ticket medio, precio medio de venta',
    it: 'prezzo medio, scontrino medio, prezzo medio di vendita',
    nl: 'gemiddelde prijs, gem prijs, gemiddelde verkoopprijs',
    pl: 'średnia cena, cena średnia, średnia cena sprzedaży, śr cena',
    pt: 'preço médio, ticket médio, preço médio de venda',
  },
  help: 'Average selling price.',
})
export const cost = field({
  name: 'cost',
  label: 'My cost',
  type: 'money',
  headings: {
    en: 'my cost, cost, cost of goods, unit cost, buying price, landed cost, cogs, buy price, purchase price, cost price, cost per unit, bought for, purchase cost, cost each, paid, bought at, i paid, buy, net cost, purch price',
    de: 'einkaufspreis, ek, ek netto, ek preis, einstandspreis, kosten, stückkosten, wareneinsatz, selbstkosten, bezugspreis, einkauf',
    fr: "prix d'achat, coût, coût d'achat, prix de revient, pa, pa ht, coût unitaire, coût de revient, prix achat, px achat, p achat",
    es: 'coste, costo, precio de compra, precio de coste, coste unitario, precio compra, coste de compra, p compra, p coste',
    it: 'costo, costo acquisto, prezzo di acquisto, costo unitario, prezzo acquisto, costo di acquisto, prz acquisto, p acquisto',
    nl: 'inkoopprijs, kostprijs, inkoop, kosten, inkoopkosten',
    pl: 'koszt, cena zakupu, koszt zakupu, koszt własny, koszt jednostkowy, cena nabycia',
    pt: 'custo, preço de custo, preço de compra, custo unitário, custo de compra, custo de aquisição, p compra, p custo',
  },
  help: 'What one costs me, landed.',
})
export const commission = field({
  name: 'commission',
  label: 'Commission',
  type: 'ratio',
  headings: {
    en: 'commission, commission rate, affiliate commission, creator commission, comm, comm rate, commission pct, affiliate rate, comm pct',
    de: 'provision, provisionssatz, provision prozent, kommission, partnerprovision',
    fr: 'commission, taux de commission, taux commission, commission affilié',
    es: 'comisión, porcentaje de comisión, tasa de comisión',
    it: 'commissione, provvigione, tasso di commissione, percentuale commissione',
    nl: 'commissie, commissiepercentage, provisie',
    pl: 'prowizja, stawka prowizji, procent prowizji',
    pt: 'comissão, taxa de comissão, percentagem de comissão',
  },
  help: 'Share of the price for those who promote it.',
})
export const change = field({
  name: 'change',
  label: 'Change',
  type: 'ratio',
  headings: {
    en: 'change, growth, trend, change vs previous, growth rate, growth pct, trend pct, delta, pct change, mom, yoy, change pct, vs last month, vs previous period',
    de: 'veränderung, wachstum, trend, änderung, veränd, entwicklung, zuwachs, gegenüber vormonat, veränderung ggü vormonat',
    fr: 'évolution, croissance, variation, tendance, évol',
    es: 'variación, crecimiento, cambio, tendencia, evolución, var',
    it: 'variazione, crescita, andamento, tendenza, var',
    nl: 'verandering, groei, trend, wijziging, ontwikkeling',
    pl: 'zmiana, wzrost, trend, dynamika',
    pt: 'variação, crescimento, tendência, evolução, mudança, var',
  },
  help: 'Change against the window before.',
})

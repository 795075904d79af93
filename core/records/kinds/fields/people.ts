import { field } from '../../field'

/** Fields of who sells, where, and since when. */
export const market = field({
  name: 'market',
  label: 'Market',
  type: 'text',
  headings: {
    en: 'market, marketplace, listing market, sold on, sales channel, platform, market name, channel, site',
    de: 'marktplatz, markt, plattform, verkaufskanal, vertriebskanal',
    fr: 'place de marché, marché, plateforme, canal de vente',
    es: 'mercado, plataforma, canal de venta, marketplace',
    it: 'mercato, piattaforma, canale di vendita, marketplace',
    nl: 'marktplaats, markt, platform, verkoopkanaal',
    pl: 'rynek, platforma, kanał sprzedaży, serwis',
    pt: 'mercado, plataforma, canal de venda, marketplace',
  },
  help: 'Where it is sold; asked once for the whole file where no column says it.',
})
export const store = field({
  name: 'store',
  label: 'Store',
  type: 'text',
  headings: {
    en: 'store, seller, shop, shop name, store name, seller name, merchant, sold by, merchant name, vendor, seller id, retailer, offered by, seller username, shop title, vendor name, who, who sells it, who sells, sold by whom',
    de: 'shop, verkäufer, händler, laden, shopname, verkäufername, anbieter, geschäft, händlername, verkauft von, store',
    fr: 'boutique, vendeur, magasin, nom de la boutique, nom du vendeur, marchand, vendu par, nom boutique, enseigne',
    es: 'tienda, vendedor, comercio, nombre de la tienda, nombre del vendedor, vendido por, nombre tienda, comerciante',
    it: 'negozio, venditore, bottega, nome negozio, nome venditore, venduto da, nome del negozio, esercente',
    nl: 'winkel, verkoper, winkelnaam, naam verkoper, aanbieder, verkocht door, handelaar, shop',
    pl: 'sklep, sprzedawca, sprzedający, nazwa sklepu, sprzedawany przez, nazwa sprzedawcy, handlowiec, oferent',
    pt: 'loja, vendedor, nome da loja, nome do vendedor, vendido por, comerciante, lojista',
  },
  help: 'Who sells it.',
})
export const supplier = field({
  name: 'supplier',
  label: 'Supplier',
  type: 'text',
  headings: {
    en: 'supplier, supplier name, vendor, wholesaler, manufacturer, factory, source, distributor, vendor name, supplied by',
    de: 'lieferant, lieferantenname, großhändler, hersteller, bezugsquelle, zulieferer, grosshändler',
    fr: 'fournisseur, nom du fournisseur, grossiste, fabricant, nom fournisseur',
    es: 'proveedor, nombre del proveedor, mayorista, fabricante, distribuidor',
    it: 'fornitore, nome fornitore, grossista, produttore, distributore',
    nl: 'leverancier, groothandel, naam leverancier, fabrikant',
    pl: 'dostawca, hurtownia, nazwa dostawcy, producent, hurtownik',
    pt: 'fornecedor, nome do fornecedor, grossista, fabricante, distribuidor',
  },
  help: 'Who supplies it; asked once where no column says it.',
})
export const country = field({
  name: 'country',
  label: 'Country',
  type: 'text',
  headings: {
    en: 'country, based in, country code, location, ctry, store country, seller country, region',
    de: 'land, sitz, standort, ländercode, herkunftsland, land des verkäufers',
    fr: 'pays, code pays, localisation, pays du vendeur',
    es: 'país, código de país, ubicación, país del vendedor',
    it: 'paese, nazione, codice paese, stato, paese del venditore',
    nl: 'land, landcode, vestigingsland, locatie',
    pl: 'kraj, kod kraju, państwo, lokalizacja',
    pt: 'país, código do país, localização',
  },
  help: 'Where it is.',
})
export const shipsFrom = field({
  name: 'shipsFrom',
  label: 'Ships from',
  type: 'text',
  headings: {
    en: 'ships from, dispatched from, item location, shipped from, origin, warehouse, country of origin, ship from, from country, made in, dispatch country',
    de: 'versand aus, versandland, herkunft, ursprungsland, artikelstandort, lagerort, lieferung aus, ursprung',
    fr: 'expédié de, expédié depuis, origine, pays origine, provenance, entrepôt, départ',
    es: 'enviado desde, origen, país de origen, procedencia, almacén, sale de',
    it: 'spedito da, origine, paese di origine, provenienza, magazzino di partenza, paese',
    nl: 'verzonden vanuit, herkomst, land van herkomst, oorsprong, verzonden uit',
    pl: 'wysyłka z, kraj pochodzenia, pochodzenie, kraj wysyłki, magazyn wysyłki',
    pt: 'enviado de, origem, país de origem, proveniência, armazém, expedido de',
  },
  help: 'Country it ships from.',
})
export const listedOn = field({
  name: 'listedOn',
  label: 'Listed on',
  type: 'day',
  headings: {
    en: 'listed, listed on, on sale since, date listed, start date, created, listed since, first listed, created at, listing date, created on, launch date, launched, added, date added, available since, start time, added on, publish date',
    de: 'eingestellt, eingestellt am, angelegt am, erstellt am, gelistet seit, online seit, startdatum, verfügbar seit, einstelldatum, angelegt, neu seit',
    fr: 'mise en ligne, mis en ligne le, créé le, date de création, en vente depuis, publié le, date de mise en ligne, ajouté le, date ajout',
    es: 'fecha de alta, publicado, publicado el, fecha de publicación, creado, a la venta desde, alta, fecha alta, fecha de creación, fecha creación',
    it: 'data inserimento, inserito il, pubblicato il, creato il, in vendita dal, data pubblicazione, data di inserimento, data creazione',
    nl: 'geplaatst op, geplaatst, online sinds, aangemaakt op, te koop sinds, plaatsingsdatum, startdatum, toegevoegd op',
    pl: 'wystawiono, data wystawienia, dodano, utworzono, w sprzedaży od, data dodania, data utworzenia, wystawione od',
    pt: 'data de publicação, publicado em, criado em, à venda desde, data de inserção, adicionado em, data de criação, anunciado em',
  },
  help: 'When it was first listed.',
})
export const since = field({
  name: 'since',
  label: 'Open since',
  type: 'day',
  headings: {
    en: 'open since, store since, seller since, shop opened, store opened, opened, member since, since, open date, joined, founded, joined on, registered, opened on, trading since, supplier since, start date, established, registration date, opening date',
    de: 'mitglied seit, eröffnet, gegründet, seit, aktiv seit, angemeldet seit, shop seit, eröffnet am, besteht seit, gründung, registriert seit',
    fr: 'ouverte depuis, inscrit le, inscrit depuis, depuis, ouvert depuis, membre depuis, date ouverture, créée le, date inscription, ouverture',
    es: 'abierta desde, desde, miembro desde, abierto desde, fecha de apertura, registrado desde, alta, apertura, fecha de registro, activo desde',
    it: 'attivo dal, aperto dal, dal, membro dal, iscritto dal, data apertura, registrato dal, apertura, in attività dal',
    nl: 'actief sinds, sinds, lid sinds, geopend, open sinds, geopend op, opgericht, aangemeld sinds',
    pl: 'na rynku od, od, działa od, otwarty od, data otwarcia, założony, zarejestrowany od, aktywny od, otwarcie',
    pt: 'desde, aberta desde, membro desde, ativo desde, data de abertura, aberto desde, registado desde, abertura',
  },
  help: 'When it opened.',
})

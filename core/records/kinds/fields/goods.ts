import { field } from '../../field'

/** Fields that say which goods are meant. */
export const listingId = field({
  name: 'id',
  label: 'Listing number',
  type: 'id',
  headings: {
    en: 'listing id, item no, item number, item id, listing number, product id, article number, listing, listing ref, item, listing no, item ref, product number, product code, item code, catalog id, product key, article no, offer id, offer number, asset id, product, product ref',
    de: 'angebotsnummer, angebotsnr, artikelnummer, artikelnr, art nr, artnr, artikel id, artikel nr, produktnummer, produkt id, listing nummer, inseratnummer, anzeigennummer, artikel',
    fr: 'n° annonce, numéro annonce, référence annonce, réf annonce, id annonce, référence, réf, réf article, référence article, code article, id produit, réf produit, produit id, référence produit, code produit, numéro article, article',
    es: 'id anuncio, número de anuncio, n anuncio, código, código artículo, cód artículo, referencia, ref, id producto, código producto, artículo, número de artículo, id artículo, referencia anuncio',
    it: 'codice inserzione, id inserzione, numero inserzione, codice articolo, cod articolo, cod art, codice prodotto, cod prodotto, codice, riferimento, rif, id prodotto, articolo, numero articolo',
    nl: 'advertentienummer, advertentie id, artikelnummer, artikelnr, art nr, productnummer, product id, referentie, artikel id, artikelcode, productcode, artikel',
    pl: 'nr oferty, numer oferty, id oferty, indeks, kod, kod produktu, kod towaru, symbol, numer artykułu, id produktu, nr aukcji, numer aukcji, nr artykułu, oferta, produkt id',
    pt: 'id do anúncio, número do anúncio, n anúncio, código, código do artigo, referência, ref, id do produto, código do produto, artigo, artigo n, número do artigo, referência do anúncio',
  },
  help: 'Identifies the listing on its market.',
})
export const title = field({
  name: 'title',
  label: 'Title',
  type: 'text',
  headings: {
    en: 'title, item title, name, product name, listing title, listing name, product title, listing, product, item, item name, description, product description, item description, article name, article, desc, prod name, goods, short description, what, details, nm, what it is called, item desc',
    de: 'titel, bezeichnung, artikelbezeichnung, artikelname, produktname, produkttitel, produkt, name, artikel, angebotstitel, beschreibung, produktbezeichnung, artikeltext, bez, ware, kurztext, artikelbeschreibung',
    fr: 'titre, libellé, désignation, nom du produit, nom, produit, article, intitulé, description, titre annonce, nom article, désignation article, libellé produit, descriptif, lib, désign',
    es: 'título, nombre, nombre del producto, producto, artículo, descripción, denominación, título del anuncio, nombre del artículo, descripción del producto, descripción artículo',
    it: 'titolo, nome, nome prodotto, prodotto, articolo, descrizione, titolo inserzione, denominazione, descrizione articolo, descrizione prodotto, nome articolo',
    nl: 'titel, naam, productnaam, product, artikel, omschrijving, beschrijving, artikelnaam, artikelomschrijving, advertentietitel, benaming, producttitel, productomschrijving',
    pl: 'tytuł, nazwa, nazwa produktu, produkt, artykuł, opis, tytuł oferty, nazwa towaru, towar, opis produktu, nazwa artykułu, tytuł aukcji',
    pt: 'título, nome, nome do produto, produto, artigo, descrição, designação, título do anúncio, descrição do produto, nome do artigo, descrição do artigo',
  },
  help: 'The words a buyer reads.',
})
export const sku = field({
  name: 'sku',
  label: 'My number',
  type: 'id',
  headings: {
    en: 'sku, my sku, seller sku, my number, own number, stock number, internal sku, own sku, own code, internal code, internal number, merchant sku, custom label, stock code, item code, product code, code, ref, article number, part number, sku code, variant sku, internal id',
    de: 'eigene artikelnummer, eigene nummer, artikelnummer, artikelnr, art nr, interne nummer, interne artikelnummer, händler sku, meine nummer, nummer, nr, sku, artikel nr, interne nr, hausnummer, lagernummer',
    fr: 'référence interne, réf interne, ma référence, référence, réf, code interne, code article, sku, réf vendeur, référence vendeur, code produit',
    es: 'referencia interna, ref interna, mi referencia, ref propia, código interno, código propio, referencia, ref, sku, código, ref vendedor, cód interno',
    it: 'codice interno, riferimento interno, rif interno, codice proprio, mio codice, codice, sku, codice articolo, cod art, codice venditore, rif',
    nl: 'eigen artikelnummer, eigen artikelnr, eigen nummer, eigen code, intern nummer, interne code, artikelnummer, artikelnr, art nr, sku, mijn nummer',
    pl: 'własny numer, kod własny, kod wewnętrzny, numer wewnętrzny, symbol, sku, indeks, kod, kod produktu, mój numer, symbol wewnętrzny, kod towaru',
    pt: 'código interno, referência interna, ref interna, código próprio, minha referência, sku, código, referência, ref, ref própria, código do vendedor',
  },
  help: 'My own number for it.',
})
export const gtin = field({
  name: 'gtin',
  label: 'Barcode',
  type: 'gtin',
  headings: {
    en: 'barcode, gtin, ean, upc, isbn, gtin13, ean code, ean13, bar code, gtin ean, upc code, ean upc',
    de: 'ean, ean code, strichcode, barcode, gtin, artikel ean',
    fr: 'code barres, code barre, ean, code ean, gencod, gtin',
    es: 'código de barras, cód barras, ean, código ean, gtin',
    it: 'codice a barre, cod a barre, barcode, ean, codice ean, gtin',
    nl: 'barcode, streepjescode, ean, ean code, gtin',
    pl: 'kod kreskowy, ean, kod ean, kod paskowy, gtin',
    pt: 'código de barras, cód barras, ean, código ean, gtin',
  },
  help: 'GTIN of 8, 12, 13 or 14 digits with a right check digit.',
})
export const brand = field({
  name: 'brand',
  label: 'Brand',
  type: 'text',
  headings: {
    en: 'brand, manufacturer, make, brand name, maker, label',
    de: 'marke, hersteller, markenname, fabrikat',
    fr: 'marque, fabricant, nom de marque',
    es: 'marca, fabricante, nombre de marca',
    it: 'marca, marchio, produttore, brand',
    nl: 'merk, fabrikant, merknaam, producent',
    pl: 'marka, producent, nazwa marki',
    pt: 'marca, fabricante, nome da marca',
  },
  help: 'Brand on the goods.',
})
export const category = field({
  name: 'category',
  label: 'Category',
  type: 'path',
  headings: {
    en: 'category, path, category path, categories, department, category name, product category, cat, group, product group, product type, section, niche',
    de: 'kategorie, warengruppe, produktgruppe, rubrik, kategoriepfad, artikelgruppe, sparte, produktkategorie, sortiment, kat',
    fr: 'catégorie, rayon, famille, rubrique, chemin de catégorie, groupe, catégorie produit, univers, cat',
    es: 'categoría, familia, sección, grupo, rubro, ruta de categoría, departamento, cat',
    it: 'categoria, famiglia, reparto, gruppo, percorso categoria, settore, merceologia, cat',
    nl: 'categorie, rubriek, productgroep, groep, afdeling, categoriepad, cat',
    pl: 'kategoria, grupa, dział, ścieżka kategorii, grupa towarowa, rodzina, kat',
    pt: 'categoria, família, secção, grupo, departamento, caminho da categoria, cat',
  },
  help: 'Broad to narrow, separated by / > or |.',
})
export const tags = field({
  name: 'tags',
  label: 'Tags',
  type: 'list',
  headings: {
    en: 'tags, keywords, labels, tags used, tag list, search words',
    de: 'schlagworte, schlagwörter, tags, stichworte, suchwörter, keywords',
    fr: 'étiquettes, tags, mots clés, mots-clefs',
    es: 'etiquetas, tags, palabras clave',
    it: 'etichette, tag, parole chiave, tags',
    nl: 'labels, tags, trefwoorden, zoekwoorden',
    pl: 'tagi, etykiety, słowa kluczowe',
    pt: 'etiquetas, tags, palavras-chave',
  },
  help: 'Search words of the listing.',
})
export const picture = field({
  name: 'picture',
  label: 'Picture',
  type: 'text',
  headings: {
    en: 'picture, image, picture url, image url, photo, primary image, main image, img, thumbnail, image link, photo url, pic',
    de: 'bild, bild url, foto, hauptbild, bildlink, produktbild',
    fr: 'image, photo, url image, lien image, image principale, visuel',
    es: 'imagen, foto, url imagen, enlace imagen, imagen principal',
    it: 'immagine, foto, url immagine, link immagine, immagine principale',
    nl: 'afbeelding, foto, plaatje, afbeelding url, hoofdafbeelding',
    pl: 'zdjęcie, obraz, obrazek, url zdjęcia, link do zdjęcia, grafika',
    pt: 'imagem, foto, url da imagem, link da imagem, fotografia, imagem principal',
  },
  help: 'Address of a picture.',
})
export const url = field({
  name: 'url',
  label: 'Address',
  type: 'text',
  headings: {
    en: 'url, link, address, web address, listing url, permalink, page url, product url, item url, href, profile url, web page, website',
    de: 'link, url, adresse, webadresse, angebotslink, seite',
    fr: 'lien, url, adresse, page, adresse web, lien annonce',
    es: 'enlace, url, dirección, página, link, dirección web',
    it: 'link, url, indirizzo, pagina, collegamento, indirizzo web',
    nl: 'link, url, adres, pagina, webadres',
    pl: 'link, url, adres, strona, odnośnik, adres strony',
    pt: 'ligação, url, endereço, link, página, hiperligação',
  },
  help: 'Where it can be seen.',
})

/** The market's number beside one's own: only what surely means the market's. */
export const marketListingId = field({
  ...listingId,
  headings: {
    en: 'listing id, listing number, item id, market listing id, listing, listing no, listing ref, item no, item number, market item id',
    de: 'angebotsnummer, angebotsnr, inseratnummer, anzeigennummer, listing id, angebotsnummer am markt',
    fr: 'n° annonce, numéro annonce, référence annonce, réf annonce, id annonce, annonce liée',
    es: 'id anuncio, número de anuncio, n anuncio, referencia anuncio',
    it: 'codice inserzione, id inserzione, numero inserzione',
    nl: 'advertentienummer, advertentie id, advertentie nr',
    pl: 'nr oferty, numer oferty, id oferty, nr aukcji',
    pt: 'id do anúncio, número do anúncio, n anúncio, referência do anúncio',
  },
})
export const language = field({
  name: 'language',
  label: 'Language',
  type: 'text',
  headings: {
    en: 'language, lang',
    de: 'sprache',
    fr: 'langue',
    es: 'idioma, lengua',
    it: 'lingua',
    nl: 'taal',
    pl: 'język',
    pt: 'idioma, língua',
  },
  help: 'In which language it is written.',
})

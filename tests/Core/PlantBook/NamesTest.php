<?php

declare(strict_types=1);

namespace Tests\Core\PlantBook;

use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;
use PruningHook\Core\PlantBook\NameMatch;
use PruningHook\Core\PlantBook\Names;
use Tests\Support\TestBook;

/** What people type is found, and nothing is offered that only looks alike. */
final class NamesTest extends TestCase
{
    /**
     * Names as crews type them, by the kind (or one of the kinds) that must come first. Of our own making; which kind a
     * name belongs to is common knowledge of the trade.
     */
    private const TYPED = [
        'wisteria' => 'wisteria, Wisteria, WISTERIA, wistaria, wisteria sinensis, Wisteria floribunda, '
            .'wisterias, wistera, '
            ."Wisteria sinensis 'Prolific', glycine, Chinese wisteria, Wisteria floribunda Macrobotrys",
        'bush-rose' => "rose, roses, rosa, Rosa, rose bush, Rosa 'Iceberg', roses, hybrid tea rose, floribunda rose",
        'climbing-rose' => 'climbing rose, climbing roses, rose climbing',
        'rambling-rose' => 'rambling rose, rambling roses',
        'lilac' => "lilac, lilacs, Lilac tree, syringa, Syringa vulgaris, Syringa vulgaris 'Charles Joly', "
            .'lilac bush, lylac',
        'forsythia' => 'forsythia, forsythias, Forsythia x intermedia, Forsythia × intermedia, forsithia, '
            .'forsythia hedge, '
            .'Forsythia Lynwood',
        'butterfly-bush' => 'buddleia, buddleja, Buddleja davidii, budleia, budlia, butterfly bush, butterfly bushes, '
            ."Buddleja davidii 'Royal Red', Buddleia davidii, summer lilac",
        'bigleaf-hydrangea' => 'hydrangea, hydrangeas, hydranga, Hydrangea macrophylla, mophead hydrangea, hortensia, '
            .'lacecap hydrangea, Hydrangea macrophylla var. normalis',
        'panicle-hydrangea' => "Hydrangea paniculata, Hydrangea paniculata 'Limelight', "
            .'Hydrangea paniculata Limelight, '
            .''
            .'panicle hydrangea, hydrangea panicle',
        'smooth-hydrangea' => "Hydrangea arborescens, Hydrangea arborescens 'Annabelle', smooth hydrangea",
        'climbing-hydrangea' => 'climbing hydrangea, climbing hyd, Hydrangea petiolaris, '
            .'Hydrangea anomala subsp. petiolaris',
        'oakleaf-hydrangea' => 'oakleaf hydrangea, Hydrangea quercifolia, oak-leaf hydrangea, oak leaf hydrangea',
        'box-hedge' => 'box, boxwood, Buxus, Buxus sempervirens, box hedge, box hedging, box ball, boxes, box topiary',
        'yew' => 'yew, yew hedge, yew tree, Taxus baccata, Taxus, yews, irish yew',
        'beech-hedge' => 'beech, beech hedge, beech hedging, Fagus sylvatica, copper beech hedge, beeches',
        'hornbeam-hedge' => 'hornbeam, hornbeam hedge, Carpinus betulus, carpinus',
        'privet' => 'privet, privet hedge, privit, Ligustrum, Ligustrum ovalifolium',
        'cherry-laurel' => 'laurel hedge, cherry laurel, Prunus laurocerasus, laurocerasus, laurel',
        'portugal-laurel' => 'Portugal laurel, Portuguese laurel, Prunus lusitanica',
        'bay-laurel' => 'bay, bay tree, bay laurel, sweet bay, Laurus nobilis, standard bay',
        'leyland-cypress' => 'leylandii, Leylandii hedge, Leyland cypress, leyland',
        'western-red-cedar' => 'Thuja plicata, western red cedar',
        'holly' => 'holly, holly hedge, Ilex aquifolium, hollies, holly tree, Ilex',
        'firethorn' => 'pyracantha, firethorn, Pyracantha coccinea, pyracanthas, fire thorn',
        'photinia' => 'photinia, red robin, Red Robin hedge, Photinia x fraseri, Photinia × fraseri',
        'lavender' => "lavender, lavandula, Lavandula angustifolia, Lavandula angustifolia 'Hidcote', lavander, "
            .'English lavender, lavenders, lavender hedge',
        'rosemary' => 'rosemary, Rosmarinus, Rosmarinus officinalis, Salvia rosmarinus, rosmary',
        'sage' => 'sage, Salvia officinalis, common sage',
        'thyme' => 'thyme, Thymus, Thymus vulgaris',
        'heather' => 'heather, Calluna, Calluna vulgaris, heathers, ling',
        'perovskia' => "Perovskia, Russian sage, Salvia yangii, Perovskia 'Blue Spire'",
        'bluebeard' => 'caryopteris, bluebeard, Caryopteris x clandonensis',
        'apple' => "apple, apples, apple tree, Malus domestica, apple 'Discovery', appel",
        'pear' => 'pear, pears, pear tree, Pyrus communis',
        'plum' => 'plum, plum tree, plums, Prunus domestica',
        'fig' => 'fig, figs, fig tree, Ficus carica, Ficus',
        'grape-vine' => 'grape, grapes, grapevine, grape vine, Vitis vinifera, vine, grapevines',
        'blackcurrant' => 'blackcurrant, black currant, black currants, Ribes nigrum, blackcurrants',
        'redcurrant' => 'redcurrant, red currant, Ribes rubrum, white currant',
        'gooseberry' => 'gooseberry, gooseberries, goosberry, Ribes uva-crispa',
        'raspberry-summer' => 'raspberry, raspberries, rasberry, summer raspberry',
        'raspberry-autumn' => 'autumn raspberry, raspberry autumn, autumn raspberries',
        'blackberry' => 'blackberry, bramble, blackberries, Rubus fruticosus',
        'blueberry' => 'blueberry, blueberries, Vaccinium corymbosum',
        'large-clematis' => "clematis, clemetis, large-flowered clematis, Clematis 'Nelly Moser', clamatis",
        'mountain-clematis' => "Clematis montana, montana, Clematis montana 'Elizabeth'",
        'armand-clematis' => 'Clematis armandii, armandii',
        'early-honeysuckle' => 'honeysuckle, honeysuckles, Lonicera periclymenum, honeysukle',
        'ivy' => 'ivy, Hedera, Hedera helix, common ivy',
        'virginia-creeper' => 'Virginia creeper, Parthenocissus quinquefolia',
        'boston-ivy' => 'Boston ivy, Parthenocissus tricuspidata',
        'winter-jasmine' => 'winter jasmine, Jasminum nudiflorum, jasmine',
        'star-jasmine' => 'star jasmine, Trachelospermum, Trachelospermum jasminoides',
        'camellia' => 'camellia, camelia, camellias, Camellia japonica',
        'rhododendron' => 'rhododendron, rhododendrum, rhodedendron, rhododendrons',
        'evergreen-azalea' => 'azalea, azaleas, Japanese azalea, azelea',
        'pieris' => "pieris, Pieris japonica, Pieris 'Forest Flame'",
        'mahonia' => 'mahonia, Mahonia x media, mahonias, Mahonia aquifolium',
        'darwin-barberry' => "Darwin's barberry, Berberis darwinii",
        'purple-barberry' => 'Berberis thunbergii, Berberis thunbergii f. atropurpurea, purple barberry',
        'mexican-orange' => "choisya, Choisya ternata, Mexican orange blossom, Choisya ternata 'Sundance'",
        'escallonia' => 'escallonia, escalonia, escallonia hedge',
        'california-lilac' => 'ceanothus, ceonothus, California lilac, Californian lilac',
        'spotted-laurel' => 'aucuba, Aucuba japonica, spotted laurel',
        'weigela' => 'weigela, weigelia, Weigela florida',
        'mock-orange' => 'philadelphus, mock orange, Philadelphus coronarius, mock-orange',
        'deutzia' => 'deutzia, Deutzia gracilis, deutsia',
        'kerria' => 'kerria, Kerria japonica, Kerria japonica Pleniflora',
        'flowering-currant' => 'flowering currant, Ribes sanguineum',
        'flowering-quince' => 'chaenomeles, japonica, flowering quince, Chaenomeles speciosa',
        'quince' => 'quince, Cydonia oblonga, quince tree',
        'smoke-bush' => 'cotinus, smoke bush, smoke tree, Cotinus coggygria',
        'rose-of-sharon' => 'rose of Sharon, Hibiscus syriacus, hibiscus',
        'hardy-fuchsia' => 'fuchsia, fuschia, Fuchsia magellanica, hardy fuchsia',
        'shrubby-cinquefoil' => 'potentilla, Potentilla fruticosa, Dasiphora fruticosa, potentila',
        'brachyglottis' => 'Senecio greyi, brachyglottis, Brachyglottis greyi',
        'witch-hazel' => 'witch hazel, hamamelis, Hamamelis x intermedia, witchhazel',
        'saucer-magnolia' => 'magnolia, magnolias, Magnolia x soulangeana, magnola, Magnolia soulangeana',
        'star-magnolia' => 'Magnolia stellata, star magnolia',
        'japanese-maple' => "Japanese maple, Acer palmatum, Acer palmatum 'Dissectum', Japanese maples",
        'birch' => 'birch, silver birch, Betula pendula, Betula, birches, birch tree',
        'willow' => 'willow, Salix, weeping willow, willows',
        'lime' => 'lime tree, linden, Tilia, Tilia cordata',
        'elderberry' => 'elder, elderberry, Sambucus nigra, black elder',
        'miscanthus' => 'miscanthus, Miscanthus sinensis',
        'pampas-grass' => 'pampas grass, pampas, Cortaderia selloana',
        'crape-myrtle' => 'crape myrtle, crepe myrtle, Lagerstroemia indica, lagerstroemia',
        'redbud' => 'redbud, Cercis canadensis, eastern redbud',
        'trumpet-vine' => 'trumpet vine, campsis, Campsis radicans, trumpet creeper',
        'david-viburnum' => 'Viburnum davidii',
        'cornelian-cherry' => 'Cornus mas',
        'hazel' => 'hazel',
        'cobnut' => 'cobnut',
        'leycesteria' => 'leycesteria',
        'garrya' => 'garrya',
        'flowering-maple' => 'abutilon',
        'new-zealand-flax' => 'phormium',
        'eucalyptus' => 'eucalyptus',
        'herringbone-cotoneaster' => 'Cotoneaster horizontalis',
        'sun-rose' => 'helianthemum',
        'poplar' => 'poplar',
        'pine' => 'pine',
        'spruce' => 'spruce',
        'cedar' => 'cedar',
        'mulberry' => 'mulberry',
        'jostaberry' => 'jostaberry',
        'hop' => 'hop',
        'hellebore' => 'hellebore',
        'fern' => 'ferns',
        'agapanthus' => 'agapanthus',
        'red-hot-poker' => 'kniphofia',
        'heuchera' => 'heuchera',
        'epimedium' => 'epimedium',
        'wood-spurge' => 'euphorbia',
        'penstemon' => 'penstemon',
        'dahlia' => 'dahlia',
        'winterberry' => 'winterberry',
        'southern-magnolia' => 'Magnolia grandiflora',
        'tea-olive' => 'tea olive',
        'hemlock' => 'hemlock',
        'cryptomeria' => 'cryptomeria',
        'creeping-juniper' => 'creeping juniper',
        'chokeberry' => 'chokeberry',
        'paperbush' => 'edgeworthia',
        'bottlebrush-buckeye' => 'bottlebrush buckeye',
        'muscadine' => 'muscadine',
        'rabbiteye-blueberry' => 'rabbiteye blueberry',
        'pecan' => 'pecan',
        'persimmon' => 'persimmon',
        'pomegranate' => 'pomegranate',
        'asian-pear' => 'nashi',
        'liriope' => 'liriope',
        'mondo-grass' => 'mondo grass',
        'canna' => 'canna',
        'avocado' => 'avocado',
        'loquat' => 'loquat',
        'feijoa' => 'feijoa',
        'almond' => 'almond',
        'macadamia' => 'macadamia',
        'passion-fruit' => 'passionfruit',
        'fuzzy-kiwi' => 'Chinese gooseberry',
        'correa' => 'correa',
        'banksia' => 'banksia',
        'wattle' => 'acacia',
        'orange-jessamine' => 'murraya',
        'glory-bush' => 'tibouchina',
        'metrosideros' => 'pohutukawa',
        'italian-cypress' => 'Cupressus sempervirens',
        'monterey-cypress' => 'macrocarpa',
        'flax-lily' => 'dianella',
        'mat-rush' => 'lomandra',
        'kangaroo-paw' => 'kangaroo paw',
        'bird-of-paradise' => 'strelitzia',
        'clivia' => 'clivia',
        'palo-verde' => 'palo verde',
        'mesquite' => 'mesquite',
        'pelargonium' => 'pelargonium',
        'euryops' => 'euryops',
        'brunfelsia' => 'brunfelsia',
        'mexican-bush-sage' => 'Salvia leucantha',
        'swamp-rose-mallow' => 'Hibiscus moscheutos',
        'sumac' => 'sumac, Rhus typhina',
    ];

    public function test_nineteen_of_twenty_names_find_their_kind_first(): void
    {
        $names = TestBook::read()->names();
        $missed = [];
        $all = 0;
        foreach (self::TYPED as $kind => $typed) {
            foreach (explode(', ', $typed) as $name) {
                $all++;
                $found = $names->find($name);
                if (($found[0]->id ?? null) !== $kind) {
                    $missed[] = "$name: ".($found[0]->id ?? 'nothing')." for $kind";
                }
                self::assertLessThanOrEqual(Names::MOST, count($found));
            }
        }
        self::assertGreaterThanOrEqual(300, $all);
        self::assertLessThanOrEqual(0.05 * $all, count($missed), implode("\n", $missed));
    }

    /** What is offered shares a word, or all but a letter or two of one, with what was asked for. */
    public function test_nothing_absurd_is_offered(): void
    {
        $names = TestBook::read()->names();
        foreach ([
            'rue' => ['rose', 'bush-rose'], 'rose' => ['rue', 'rock-rose'], 'magnolia' => ['mahonia'],
            'mahonia' => ['saucer-magnolia', 'star-magnolia'], 'sweet william' => [], 'cosmos' => [], 'xyzzy' => [],
            'lily' => ['lilac'], 'tulip' => ['lilac'], 'mahogany' => ['mahonia'], 'plane' => ['plum'],
            'sage' => ['sedge'], 'ash' => ['rowan'], 'bean' => ['beech-hedge'], 'heath' => ['heather'],
        ] as $name => $never) {
            $found = array_map(static fn (NameMatch $match): string => $match->id, $names->find($name));
            self::assertSame([], array_intersect($found, $never), $name);
            if ($never === []) {
                self::assertSame([], $found, $name);
            }
        }
    }

    /** @param  list<string>  $ids */
    #[DataProvider('several')]
    public function test_a_name_that_stands_for_several_asks(string $name, string $ask, array $ids): void
    {
        $found = TestBook::read()->names()->find($name);
        self::assertSame([$ask], array_values(array_unique(array_map(
            static fn (NameMatch $match): ?string => $match->ask, $found,
        ))));
        self::assertSame(
            $ids, array_slice(array_map(static fn (NameMatch $match): string => $match->id, $found), 0, 3),
        );
        self::assertNull(TestBook::read()->names()->sure($name));
        self::assertNull(TestBook::read()->find($name));
    }

    /** @return array<string, array{string, string, list<string>}> */
    public static function several(): array
    {
        $roses = ['bush-rose', 'climbing-rose', 'shrub-rose-repeat'];
        $rose = 'Which rose: a bush, a climber, a rambler, a shrub, or one that covers the ground?';

        return [
            'a common name' => ['roses', $rose, $roses],
            'a genus with a cultivar' => ["Rosa 'Iceberg'", $rose, $roses],
            'a genus without a question of its own' => [
                'Ribes', 'Which Ribes is it?', ['blackcurrant', 'redcurrant', 'gooseberry'],
            ],
            'groups' => [
                'clematis',
                'Which group of clematis: small flowers in spring, large flowers in early summer, or flowers from '
                    .'midsummer on?',
                ['large-clematis', 'late-clematis', 'mountain-clematis'],
            ],
        ];
    }

    public function test_what_the_firm_plants_goes_first_among_equals(): void
    {
        $names = TestBook::read()->names();
        self::assertSame('alpine-clematis', $names->find('clematis', ['lilac', 'alpine-clematis'])[0]->id);
        self::assertSame('lilac', $names->find('lilac', ['alpine-clematis'])[0]->id);
    }

    public function test_it_says_why(): void
    {
        $because = static fn (string $name): string => TestBook::read()->names()->find($name)[0]->because;
        self::assertSame('its name', $because('Lilac'));
        self::assertSame('its botanical name', $because('syringa vulgaris'));
        self::assertSame('also called Rosmarinus officinalis', $because('Rosmarinus officinalis'));
        self::assertSame('a form of it', $because('Hydrangea paniculata Limelight'));
        self::assertSame('spelt so: camellia', $because('camelia'));
        self::assertSame('one of its names begins so', $because('climbing hyd'));
    }

    public function test_ways_of_writing_come_to_the_same_words(): void
    {
        foreach ([
            "Forsythia \u{00d7} intermedia", 'forsythia x intermedia', 'FORSYTHIA  X  INTERMEDIA',
            'Forsythia intermedia',
            "Forsythia x intermedia 'Lynwood'", "Forsythia x intermedia \u{2018}Lynwood\u{2019}",
            'Forsythia-intermedia',
            'forsýthia intermédia',
        ] as $name) {
            self::assertSame(['forsythia', 'intermedia'], Names::words($name), $name);
        }
        self::assertSame(['lady', 'mantle'], array_map(
            static fn (string $word): string => rtrim($word, 's'), Names::words("Lady's mantle"),
        ));
        self::assertSame(['gooseberry', 'box', 'birch', 'rose', 'hibiscus'], Names::words(
            'gooseberries boxes birches roses hibiscus',
        ));
        self::assertSame([], Names::words(" '' ?! 123 "));
    }
}

<?php

declare(strict_types=1);

namespace Tests\Architecture;

use PHPat\Selector\Selector;
use PHPat\Test\Builder\Rule;
use PHPat\Test\PHPat;

/** The house's first law: the core depends on PHP alone. Read by PHPStan. */
final class LayersTest
{
    public function testCoreDependsOnPhpAlone(): Rule
    {
        return PHPat::rule()
            ->classes(Selector::inNamespace('PruningHook\Core'))
            ->canOnlyDependOn()
            ->classes(
                Selector::inNamespace('PruningHook\Core'),
                Selector::classname('/^(InvalidArgumentException|Stringable|ArrayObject|WeakMap|BackedEnum|UnitEnum)$/', true),
            )
            ->because('the computation is tested and used without any framework');
    }
}

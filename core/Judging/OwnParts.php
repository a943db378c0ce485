<?php

declare(strict_types=1);

namespace Lustrum\Core\Judging;

use Lustrum\Core\Run\Deviation;
use Lustrum\Core\Run\DeviationKind;
use Lustrum\Core\Run\Part;

/** In what an article is otherwise than its build, where a change hangs on it. */
final class OwnParts
{
    /**
     * Deviations that say neither that the part or the value is the parent's, nor which it is: somebody is asked, and until then the
     * article carries no fix in it.
     *
     * @param list<Deviation> $deviants of one article
     *
     * @return list<Deviation>
     */
    public static function unclear(Build $build, ?Build $parent, array $deviants): array
    {
        $altered = array_merge(...array_map(static fn (ChangeFact $c): array => $c->alters, $build->changes));

        return array_values(array_filter($deviants, static function (Deviation $d) use ($build, $parent, $altered): bool {
            $name = ($d->kind === DeviationKind::Parameter ? 'parameter:' : 'part:').$d->name;
            if (!in_array(Deviation::tidy($name), array_map(Deviation::tidy(...), $altered), true) || $d->keepsOld()) {
                return false;
            }
            if ($d->kind === DeviationKind::Parameter) {
                return trim($d->value) === '';
            }
            $known = array_filter(
                [...$build->parts, ...$parent->parts ?? []],
                static fn (Part $p): bool => Deviation::tidy($p->name) === Deviation::tidy($d->name) && $d->isOf($p->material),
            );

            return $d->kind === DeviationKind::Part && $known === [];
        }));
    }
}

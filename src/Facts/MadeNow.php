<?php

declare(strict_types=1);

namespace Lustrum\Facts;

use Lustrum\Core\Run\Configuration;
use Lustrum\Core\Run\Deviation;
use Lustrum\Core\Run\DeviationKind;
use Lustrum\Core\Run\Parameter as Fact;
use Lustrum\Core\Run\SettingRule;
use Lustrum\Domain\Revision\ArmValue;
use Lustrum\Domain\Revision\Article;
use Lustrum\Domain\Revision\Parameter;
use Lustrum\Domain\Revision\Part;
use Lustrum\Domain\Revision\Revision;
use Lustrum\Domain\Trial\Trial;
use Lustrum\Record\Records;

/** What a run that begins now is made with and judged by. */
final readonly class MadeNow
{
    public function __construct(
        private Records $records,
        private IntendedSettings $intended,
    ) {
    }

    /**
     * @param string $firmware as it was typed on the run; empty: that of its article or its build
     * @param string $state    of what is tried, as it was said
     */
    public function of(Trial $trial, ?Article $article, string $firmware = '', string $state = ''): Configuration
    {
        return self::with(
            $trial, $article, $this->parameters($trial->revision()), $this->parts($trial->revision()), $this->intended->of($trial, $article),
            $firmware, $state,
        );
    }

    /**
     * Of any trial of one build, read once: with its firmware, and settings as the method says.
     *
     * @return \Closure(Trial, ?Article, string): Configuration of an article, or of what is none, by its state
     */
    public function on(Revision $build): \Closure
    {
        [$parameters, $parts] = [$this->parameters($build), $this->parts($build)];

        return static fn (Trial $trial, ?Article $article, string $state): Configuration => self::with(
            $trial, $article, $parameters, $parts, $trial->method()->settings(), '', $article?->state() ?? $state,
        );
    }

    /** @return list<Fact> */
    private function parameters(Revision $build): array
    {
        return array_map(static fn (Parameter $p): Fact => $p->asFact(), $this->records->all(Parameter::class, ['revision' => $build]));
    }

    /** @return list<\Lustrum\Core\Run\Part> */
    private function parts(Revision $build): array
    {
        return array_map(static fn (Part $p) => $p->asFact(), $this->records->all(Part::class, ['revision' => $build]));
    }

    /**
     * @param list<Fact>                  $parameters of the build
     * @param list<\Lustrum\Core\Run\Part> $parts
     * @param list<SettingRule>           $settings
     */
    private static function with(
        Trial $trial, ?Article $article, array $parameters, array $parts, array $settings, string $firmware, string $state,
    ): Configuration {
        [$build, $method] = [$trial->revision(), $trial->method()];
        // What is typed on the run goes first, then what was changed on its article.
        $all = [$firmware, ...array_map(static fn (Deviation $d): string => $d->value, array_filter(
            $article?->deviants() ?? [], static fn (Deviation $d): bool => $d->kind === DeviationKind::Firmware,
        )), $build->firmware()];
        $firmware = array_values(array_filter($all, static fn (string $of): bool => $of !== ''))[0] ?? '';

        return new Configuration(
            $build->id()->toRfc4122(), $build->letter(), $firmware, self::own($parameters, $build, $article), $parts,
            $article?->id()->toRfc4122(), $article?->serial() ?? '', $state, $article?->deviations() ?? '', $article?->lots() ?? [],
            $method->id()->toRfc4122(), $method->name(), $method->edition(), $method->rig(), $method->channels(), $method->conditions(),
            $settings, $method->heldWhen(), null, $method->factors(), $method->questions(), $method->wears(),
            $method->represents(), $article?->deviants() ?? [],
            $article?->arm() ?? '', $method->constants(),
            ownFirmware: $firmware !== $build->firmware(),
        );
    }

    /**
     * Those of the build, with the values of the arm that the article is of, and what this article has otherwise.
     *
     * @param list<Fact> $parameters
     *
     * @return list<Fact>
     */
    private static function own(array $parameters, Revision $build, ?Article $article): array
    {
        $arm = $article === null || $article->arm() === '' ? null : $build->arm($article->arm());
        $own = array_map(static fn (ArmValue $v): Fact => Fact::typed(trim($v->name), $v->text), $arm->values ?? []);
        foreach ($article?->deviants() ?? [] as $deviation) {
            if ($deviation->kind === DeviationKind::Parameter && $deviation->value !== '') {
                $own[] = Fact::typed($deviation->name, $deviation->value);
            }
        }

        return array_values(array_column($own, null, 'name') + array_column($parameters, null, 'name'));
    }
}

<?php

declare(strict_types=1);

namespace Lustrum\Http\Door;

use Symfony\Component\HttpFoundation\Request;
use Symfony\Component\Routing\Route;

/** What a route needs, said where it stands: who may ask, and with which body. A route that does not say it does not boot. */
#[\Attribute(\Attribute::TARGET_METHOD)]
final readonly class Needs
{
    private const WHO = '_who';
    private const TAKES = '_takes';

    public function __construct(
        public Who $who,
        public Takes $takes = Takes::Nothing,
    ) {
    }

    /** Writes it down at the route; texts, as Symfony's own access rules read them there. */
    public function writeTo(Route $route): Route
    {
        return $route->addDefaults([self::WHO => $this->who->value, self::TAKES => $this->takes->value]);
    }

    public static function of(Route $route): ?self
    {
        return self::from($route->getDefault(self::WHO), $route->getDefault(self::TAKES));
    }

    /**
     * Of the route that a request was matched to; never by the address as it came.
     *
     * @throws \LogicException where none was matched, or it says nothing: nobody goes there
     */
    public static function ofMatched(Request $request): self
    {
        return self::from($request->attributes->get(self::WHO), $request->attributes->get(self::TAKES))
            ?? throw new \LogicException('No route was matched that says what it needs.');
    }

    private static function from(mixed $who, mixed $takes): ?self
    {
        return is_string($who) && is_string($takes) ? new self(Who::from($who), Takes::from($takes)) : null;
    }
}

<?php

declare(strict_types=1);

namespace Lustrum\Http\Door;

use Symfony\Component\HttpKernel\CacheWarmer\CacheWarmerInterface;
use Symfony\Component\Routing\RouterInterface;

/** The application does not boot with a route that does not say who may go there. */
final readonly class AllDeclared implements CacheWarmerInterface
{
    public function __construct(
        private RouterInterface $router,
    ) {
    }

    public function isOptional(): bool
    {
        return false;
    }

    /** @return list<string> */
    public function warmUp(string $cacheDir, ?string $buildDir = null): array
    {
        foreach ($this->router->getRouteCollection() as $name => $route) {
            if (Needs::of($route) === null) {
                throw new \LogicException(sprintf('The route %s (%s) does not say who may go there: give it #[Needs].', $name, $route->getPath()));
            }
        }

        return [];
    }
}

<?php

declare(strict_types=1);

namespace Lustrum\Http\Door;

use Symfony\Bundle\FrameworkBundle\Routing\AttributeRouteControllerLoader;
use Symfony\Component\Routing\Route;

/** Reads the routes of controllers, each with what it needs. */
final class DeclaredRoutes extends AttributeRouteControllerLoader
{
    /** @param \ReflectionClass<object> $class */
    protected function configureRoute(Route $route, \ReflectionClass $class, \ReflectionMethod $method, object $attr): void
    {
        parent::configureRoute($route, $class, $method, $attr);
        ($method->getAttributes(Needs::class)[0] ?? null)?->newInstance()->writeTo($route);
    }
}

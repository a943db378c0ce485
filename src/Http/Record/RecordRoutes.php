<?php

declare(strict_types=1);

namespace Lustrum\Http\Record;

use Lustrum\Record\Registry;
use Symfony\Bundle\FrameworkBundle\Routing\RouteLoaderInterface;
use Symfony\Component\Routing\Requirement\Requirement;
use Symfony\Component\Routing\Route;
use Symfony\Component\Routing\RouteCollection;

/** The addresses at which records are written and withdrawn: one each for every kind that is registered. */
final readonly class RecordRoutes implements RouteLoaderInterface
{
    public function __construct(
        private Registry $registry,
    ) {
    }

    public function routes(): RouteCollection
    {
        $routes = new RouteCollection();
        $id = ['id' => Requirement::UUID];
        foreach ($this->registry->kinds() as $kind) {
            $at = '/api/'.$kind->plural.'/{id}';
            if ($kind->put) {
                $routes->add(
                    'put_'.$kind->name,
                    new Route($at, ['_controller' => RecordController::class.'::put', 'kind' => $kind->name], $id, methods: ['PUT']),
                );
            }
            if ($kind->withdrawable) {
                $routes->add(
                    'withdraw_'.$kind->name,
                    new Route(
                        $at.'/withdraw', ['_controller' => RecordController::class.'::withdraw', 'kind' => $kind->name], $id,
                        methods: ['POST'],
                    ),
                );
            }
        }

        return $routes;
    }
}

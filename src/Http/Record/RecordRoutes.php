<?php

declare(strict_types=1);

namespace Lustrum\Http\Record;

use Lustrum\Http\Door\Needs;
use Lustrum\Http\Door\Takes;
use Lustrum\Http\Door\Who;
use Lustrum\Record\Registry;
use Symfony\Bundle\FrameworkBundle\Routing\RouteLoaderInterface;
use Symfony\Component\Routing\Requirement\Requirement;
use Symfony\Component\Routing\Route;
use Symfony\Component\Routing\RouteCollection;

/** The addresses at which records are written and withdrawn: one each for every kind that is registered. */
final readonly class RecordRoutes implements RouteLoaderInterface
{
    /** Before the name of a kind: the route at which it is written. */
    public const PUT = 'put_';

    public function __construct(
        private Registry $registry,
    ) {
    }

    public function routes(): RouteCollection
    {
        $routes = new RouteCollection();
        $id = ['id' => Requirement::UUID];
        $needs = new Needs(Who::Writer, Takes::Json);
        foreach ($this->registry->kinds() as $kind) {
            $at = '/api/'.$kind->plural.'/{id}';
            if ($kind->put) {
                $put = ['_controller' => RecordController::class.'::put', 'kind' => $kind->name];
                $routes->add(self::PUT.$kind->name, $needs->writeTo(new Route($at, $put, $id, methods: ['PUT'])));
            }
            if ($kind->withdrawable) {
                $withdraw = ['_controller' => RecordController::class.'::withdraw', 'kind' => $kind->name];
                $routes->add(
                    'withdraw_'.$kind->name, $needs->writeTo(new Route($at.'/withdraw', $withdraw, $id, methods: ['POST'])),
                );
            }
        }

        return $routes;
    }
}

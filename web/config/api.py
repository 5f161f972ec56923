"""The API: all routers gathered, one schema, one way to refuse."""

from api import failures
from api.auth import signed_in
from asking.api import router as algebra
from classes.api import router as classes
from deliveries.api import router as deliveries
from errors.api import router as errors
from examples.api import router as examples
from exchange.api import router as exchange
from filing.api import router as filing
from giving.api import router as giving
from house.api import router as house
from jobs.api import router as jobs
from keeping.api import router as keeping
from lessons.api import router as lessons
from log.api import router as log
from log.api import today_router
from ninja import NinjaAPI
from papers.endpoints import going_out, sittings, works
from proofs.api import router as proofs
from scans.api import router as scans
from sets.api import router as sets
from sharing.api import handing
from sharing.api import router as sharing
from teachers.endpoints.account import router as account
from teachers.endpoints.links import router as links
from teachers.endpoints.people import router as people
from teachers.endpoints.session import router as session

from config.health import router as health

api = NinjaAPI(title="Uchuu", version="1", auth=signed_in, docs_url=None)
failures.install(api)
# Addresses are tried in this order: first what is called at every line.
api.add_router("/algebra", algebra, tags=["algebra"])
api.add_router("/examples", examples, tags=["examples"])
api.add_router("/health", health, tags=["health"])
api.add_router("/session", session, tags=["session"])
api.add_router("/session", links, tags=["session"])
api.add_router("/account", account, tags=["account"])
api.add_router("/people", people, tags=["people"])
api.add_router("/handed", handing, tags=["department"])
api.add_router("/shared", sharing, tags=["department"])
api.add_router("/errors", errors, tags=["errors"])
api.add_router("/house", house, tags=["house"])
api.add_router("/units", filing, tags=["units"])
api.add_router("/sets", sets, tags=["sets"])
api.add_router("/jobs", jobs, tags=["jobs"])
api.add_router("/give", giving, tags=["give"])
api.add_router("/keep", keeping, tags=["keep"])
api.add_router("/exchange", exchange, tags=["exchange"])
api.add_router("/classes", classes, tags=["classes"])
for router in (sittings.router, works.router, going_out.router):
    api.add_router("/sittings", router, tags=["sittings"])
api.add_router("/deliveries", deliveries, tags=["deliveries"])
api.add_router("/scans", scans, tags=["scans"])
api.add_router("/lessons", lessons, tags=["lessons"])
api.add_router("/log", log, tags=["log"])
api.add_router("/today", today_router, tags=["log"])
api.add_router("/proofs", proofs, tags=["proofs"])

"""Our contrast ratios beside those that axe-core computes on its own."""

from __future__ import annotations

import numpy as np
import pytest
from playwright.sync_api import Page

from tests.browser.axe import load_axe
from tonada.core.color.contrast import composite, contrast_ratio

RATIOS = """pairs => pairs.map(([text, ground]) => axe.commons.color.getContrast(
  new axe.commons.color.Color(...ground, 1), new axe.commons.color.Color(...text, 1)))"""
FLATTENED = """cases => cases.map(([text, alpha, ground]) => {
  const seen = axe.commons.color.flattenColors(
    new axe.commons.color.Color(...text, alpha), new axe.commons.color.Color(...ground, 1))
  return [seen.red, seen.green, seen.blue]
})"""


def test_opaque_ratios_are_axe_s_own(page: Page) -> None:
    page.goto("/")
    load_axe(page)
    pairs = np.random.default_rng(3).integers(0, 256, (500, 2, 3))
    found = np.array(page.evaluate(RATIOS, pairs.tolist()))
    # 1e-12: both compute in double precision, in another order.
    assert contrast_ratio(pairs[:, 0], pairs[:, 1]) == pytest.approx(found, abs=1e-12)


def test_layers_are_composited_as_axe_does(page: Page) -> None:
    page.goto("/")
    load_axe(page)
    random = np.random.default_rng(4)
    texts, grounds = random.integers(0, 256, (2, 300, 3))
    alphas = np.round(random.uniform(0, 1, 300), 2)
    cases = list(zip(texts.tolist(), alphas.tolist(), grounds.tolist(), strict=True))
    found = page.evaluate(FLATTENED, cases)
    for (text, alpha, ground), seen in zip(cases, found, strict=True):
        assert composite(np.array(text), alpha, np.array(ground)).tolist() == [round(value) for value in seen]

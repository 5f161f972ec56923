"""Verdicts on unusual but ordinary school work: each was once a question of what is right."""

from typing import Any

import pytest

from uchuu_core import check, problem_from

PAPERS: list[tuple[str, str, list[str], list[str], dict[str, Any]]] = [
    ("solve", "x^2=16", ["x=4 or x=-4"], ["ok"], {}),
    ("solve", "x^2=16", ["x=+-4"], ["ok"], {}),
    ("solve", "x^2=16", ["x=4, -4"], ["ok"], {}),
    ("solve", "x^2=16", ["x_1=4, x_2=-4"], ["ok"], {}),
    ("solve", "x^2=16", ["x1=4"], ["unreadable"], {}),
    ("solve", "x^2=16", ["{4,-4}"], ["ok"], {}),
    ("solve", "x^2=16", ["4, -4"], ["ok"], {}),
    ("solve", "x^2=16", ["4 or -4"], ["ok"], {}),
    ("solve", "x^2=16", ["x=4"], ["loses"], {}),
    ("solve", "x^2=16", ["x=sqrt(16)", "x=4"], ["loses", "ok"], {}),
    (
        "solve",
        "x^2-4x+13=0",
        ["x=(4+-sqrt(16-52))/2", "x=(4+-sqrt(-36))/2", "no solution"],
        ["ok", "ok", "ok"],
        {},
    ),
    (
        "solve",
        "x^2-4x+13=0",
        ["x=(4+-sqrt(16-52))/2", "x=(4+-6i)/2", "x=2+-3i"],
        ["ok", "ok", "ok"],
        {"numbers": "complex"},
    ),
    (
        "solve",
        "x^2-4x+13=0",
        ["x=(4+-sqrt(-36))/2", "x=(4+-6i)/2", "x=2+-6i"],
        ["ok", "ok", "wrong"],
        {"numbers": "complex"},
    ),
    (
        "solve",
        "x^2+9=0",
        ["x^2=-9", "x=+-sqrt(-9)", "x=+-3i"],
        ["ok", "ok", "ok"],
        {"numbers": "complex"},
    ),
    ("solve", "x^2+9=0", ["x^2=-9", "x=+-3"], ["ok", "wrong"], {}),
    ("solve", "(x-3)^2=-2", ["x-3=+-sqrt(-5)"], ["wrong"], {}),
    ("solve", "sqrt(x)=-3", ["x=9", "no solution"], ["may-add", "ok"], {}),
    ("solve", "sqrt(x)=-3", ["no solution"], ["ok"], {}),
    ("solve", "sqrt(x)=-3", ["x=9"], ["wrong"], {}),
    ("solve", "sqrt(x+1)=-3", ["x+1=9", "x=8"], ["may-add", "wrong"], {}),
    (
        "solve",
        "sqrt(x-1)=x-3",
        [
            "x-1=x^2-6x+9",
            "0=x^2-7x+10",
            "0=(x-5)(x-2)",
            "x=5 or x=2",
            "sqrt(5-1)=5-3",
            "sqrt(2-1)=2-3",
            "x=5",
        ],
        ["may-add", "ok", "ok", "ok", "ok", "wrong", "ok"],
        {},
    ),
    ("solve", "sqrt(x-1)=x-3", ["x-1=(x-3)^2", "x=5"], ["may-add", "ok"], {}),
    ("solve", "|x-3|=5", ["x-3=5 or x-3=-5", "x=8 or x=-2"], ["ok", "ok"], {}),
    ("solve", "|x-3|=5", ["x-3=5", "x=8"], ["loses", "ok"], {}),
    ("solve", "|x-3|=-5", ["no solution"], ["ok"], {}),
    (
        "solve",
        "|2x+1|=x-4",
        ["2x+1=x-4 or 2x+1=-(x-4)", "x=-5 or x=1", "no solution"],
        ["may-add", "ok", "ok"],
        {},
    ),
    ("solve", "x^3=8", ["x=2"], ["ok"], {}),
    ("solve", "x^3=8", ["x=cbrt(8)", "x=2"], ["ok", "ok"], {}),
    ("solve", "x^4=16", ["x^2=4", "x=+-2"], ["ok", "ok"], {}),
    ("solve", "x^4=16", ["x^2=+-4", "x=+-2"], ["ok", "ok"], {}),
    (
        "solve",
        "x^4-5x^2+4=0",
        ["(x^2-1)(x^2-4)=0", "x^2=1 or x^2=4", "x=+-1 or x=+-2"],
        ["ok", "ok", "ok"],
        {},
    ),
    (
        "solve",
        "x^4-5x^2+4=0",
        ["u^2-5u+4=0", "u=1 or u=4", "x^2=1 or x^2=4", "x=+-1, +-2"],
        ["ok", "ok", "ok", "ok"],
        {},
    ),
    ("solve", "x^(2/3)=4", ["x^2=64", "x=+-8"], ["ok", "ok"], {}),
    ("solve", "x^(3/2)=8", ["x=8^(2/3)", "x=4"], ["ok", "ok"], {}),
    ("solve", "x^(2/3)=4", ["x=4^(3/2)", "x=8"], ["loses", "ok"], {}),
    ("solve", "2^x=32", ["2^x=2^5", "x=5"], ["ok", "ok"], {}),
    ("solve", "4^x=8", ["2^(2x)=2^3", "2x=3", "x=3/2"], ["ok", "ok", "ok"], {}),
    (
        "solve",
        "9^x-4*3^x+3=0",
        ["u^2-4u+3=0", "u=1 or u=3", "3^x=1 or 3^x=3", "x=0 or x=1"],
        ["ok", "ok", "ok", "ok"],
        {},
    ),
    (
        "solve",
        "9^x-4*3^x+3=0",
        ["(3^x-1)(3^x-3)=0", "3^x=1 or 3^x=3", "x=0 or x=1"],
        ["ok", "ok", "ok"],
        {},
    ),
    ("solve", "2^x=5", ["x=5/2"], ["wrong"], {}),
    (
        "solve",
        "1/(x-2)+1/(x+2)=4/(x^2-4)",
        ["x+2+x-2=4", "2x=4", "x=2", "no solution"],
        ["may-add", "ok", "ok", "ok"],
        {},
    ),
    ("solve", "1/(x-2)=3", ["x != 2", "1=3(x-2)", "x=7/3"], ["ok", "may-add", "ok"], {}),
    ("solve", "1/(x-2)=3", ["x != 3", "1=3(x-2)", "x=7/3"], ["wrong", "may-add", "ok"], {}),
    ("solve", "(x-5)/(x-5)=1", ["1=1", "all real numbers"], ["may-add", "wrong"], {}),
    ("solve", "(x-5)/(x-5)=1", ["1=1", "all real numbers except 5"], ["may-add", "ok"], {}),
    ("solve", "(x-5)/(x-5)=1", ["x-5=x-5", "all except excluded"], ["may-add", "ok"], {}),
    ("solve", "2(x+1)=2x+2", ["all real numbers"], ["ok"], {}),
    ("solve", "x/(x^2+1)=1/2", ["2x=x^2+1", "0=(x-1)^2", "x=1"], ["may-add", "ok", "ok"], {}),
    ("solve", "x^2=7", ["x=+-sqrt(7)"], ["ok"], {}),
    ("solve", "x^2=12", ["x=+-sqrt(12)"], ["unfinished"], {}),
    ("solve", "x^2=12", ["x=+-2sqrt(3)"], ["ok"], {}),
    (
        "solve",
        "x^2=1/2",
        ["x=+-sqrt(1/2)", "x=+-1/sqrt(2)", "x=+-sqrt(2)/2"],
        ["ok", "ok", "ok"],
        {},
    ),
    ("solve", "2x+1=7", ["2x=6=x=3"], ["wrong"], {}),
    ("evaluate", "3+4*2", ["4*2=8+3=11"], ["wrong"], {}),
    ("evaluate", "(3+4)*2", ["3+4=7*2=14"], ["wrong"], {}),
    ("evaluate", "3*5+2", ["=15+2", "=17"], ["ok", "ok"], {}),
    ("solve", "a*x^2+b*x+c=0", ["x=(-b+-sqrt(b^2-4a*c))/(2a)"], ["ok"], {"variable": "x"}),
    ("solve", "a*x^2+b*x+c=0", ["x=(b+-sqrt(b^2-4a*c))/(2a)"], ["wrong"], {"variable": "x"}),
    ("solve", "v^2=u^2+2a*s", ["v=+-sqrt(u^2+2a*s)"], ["ok"], {"variable": "v"}),
    (
        "solve",
        "c=sqrt(a^2+b^2)",
        ["c^2=a^2+b^2", "b^2=c^2-a^2", "b=+-sqrt(c^2-a^2)"],
        ["may-add", "ok", "ok"],
        {"variable": "b"},
    ),
    (
        "solve",
        "1/f=1/p+1/q",
        ["p*q=f*q+f*p", "q(p-f)=f*p", "q=(f*p)/(p-f)"],
        ["may-add", "ok", "ok"],
        {"variable": "q"},
    ),
    ("simplify", "sqrt(50x^2)", ["5x*sqrt(2)"], ["wrong"], {}),
    ("simplify", "sqrt(50x^2)", ["5|x|sqrt(2)"], ["ok"], {}),
    ("simplify", "sqrt(50x^2)", ["5x*sqrt(2)"], ["ok"], {"house": {"radicals": "non-negative"}}),
    ("simplify", "sqrt(x^6)", ["x^3"], ["wrong"], {}),
    ("simplify", "sqrt(x^6)", ["|x|^3"], ["ok"], {}),
    ("simplify", "sqrt(x^6)", ["|x^3|"], ["ok"], {}),
    ("simplify", "root(4,x^8)", ["x^2"], ["ok"], {}),
    ("simplify", "cbrt(x^3)", ["x"], ["ok"], {}),
    ("simplify", "sqrt(x)*sqrt(x^3)", ["sqrt(x^4)", "x^2"], ["ok", "ok"], {}),
    ("simplify", "sqrt(-9)", ["3i"], ["ok"], {"numbers": "complex"}),
    ("evaluate", "sqrt(9-25)", ["sqrt(-16)", "no real value"], ["ok", "ok"], {}),
    ("evaluate", "sqrt(9-25)", ["sqrt(-16)", "-4"], ["ok", "wrong"], {}),
    ("evaluate", "5/(2-2)", ["5/0", "undefined"], ["unproved", "ok"], {}),
    ("factor", "x^2+9", ["prime"], ["ok"], {}),
    ("factor", "x^2-9", ["prime"], ["wrong"], {}),
    ("factor", "2x^2+8", ["prime"], ["wrong"], {}),
    ("factor", "x^2+9", ["(x+3)^2"], ["wrong"], {}),
    ("factor", "x^4-16", ["(x^2-4)(x^2+4)"], ["unfinished"], {}),
    ("factor", "x^4-16", ["(x-2)(x+2)(x^2+4)"], ["ok"], {}),
    ("factor", "x^2-2", ["x^2-2"], ["ok"], {}),
    ("factor", "6-3x", ["3(2-x)"], ["ok"], {}),
    ("factor", "6-3x", ["-3(x-2)"], ["ok"], {}),
    ("factor", "x^2/4-1", ["(x/2-1)(x/2+1)"], ["ok"], {}),
    ("simplify", "(x^2-9)/(x-3)", ["x+3"], ["ok"], {}),
    ("simplify", "2/x+3/y", ["(2y+3x)/(x*y)"], ["ok"], {}),
    ("simplify", "((1/x)-(1/3))/(x-3)", ["(3-x)/(3x(x-3))", "-1/(3x)"], ["ok", "ok"], {}),
    ("simplify", "(x^(-1)+y^(-1))^(-1)", ["x+y"], ["wrong"], {}),
    ("simplify", "(x^(-1)+y^(-1))^(-1)", ["(x*y)/(x+y)"], ["ok"], {}),
    ("domain", "sqrt(x-3)", ["x>=3"], ["ok"], {}),
    ("domain", "sqrt(x-3)", ["x>3"], ["wrong"], {}),
    ("domain", "1/sqrt(x-3)", ["x>3"], ["ok"], {}),
    (
        "domain",
        "(x+5)/(x^2-x-12)",
        ["x^2-x-12=0", "(x-4)(x+3)=0", "x=4 or x=-3", "all real numbers except -3 and 4"],
        ["ok"] * 4,
        {},
    ),
    ("domain", "1/(x^2+1)", ["all real numbers"], ["ok"], {}),
    ("domain", "sqrt(4-x^2)", ["-2<=x<=2"], ["ok"], {}),
    ("domain", "x/(x^2-2)", ["x != sqrt(2), x != -sqrt(2)"], ["ok"], {}),
    ("domain", "x/(x^2-2)", ["x != +-sqrt(2)"], ["ok"], {}),
    ("domain", "sqrt(x^2-4)", ["x<=-2 or x>=2"], ["ok"], {}),
    ("domain", "sqrt(x^2-4)", ["-2<=x<=2"], ["wrong"], {}),
    ("domain", "1/(x-1)+sqrt(x)", ["x>=0, x!=1"], ["ok"], {}),
    ("domain", "1/(x-1)+sqrt(x)", ["x>=0"], ["wrong"], {}),
    ("domain", "1/(x*y)", ["x != 0, y != 0"], ["ok"], {}),
    ("domain", "1/(x-y)", ["x != y"], ["ok"], {}),
    ("solve", "x^2-6x+9=0", ["(x-3)^2=0", "x-3=0", "x=3"], ["ok"] * 3, {}),
    ("solve", "x^2-6x+9=0", ["(x-3)(x-3)=0", "x=3 or x=3"], ["ok", "ok"], {}),
    (
        "solve",
        "2x^2+3x-2=0",
        [
            "x=(-3+-sqrt(9-4*2*(-2)))/(2*2)",
            "x=(-3+-sqrt(25))/4",
            "x=(-3+-5)/4",
            "x=2/4 or x=-8/4",
            "x=1/2 or x=-2",
        ],
        ["ok"] * 5,
        {},
    ),
    (
        "solve",
        "2x^2+3x-2=0",
        ["a=2, b=3, c=-2", "D=9+16=25", "x=(-3+-5)/4", "x=1/2 or x=-2"],
        ["ok", "ok", "ok", "ok"],
        {},
    ),
    ("solve", "x^2+2x+5=0", ["(x+1)^2+4=0", "(x+1)^2=-4", "no real solution"], ["ok"] * 3, {}),
    ("solve", "x^2+2x+5=0", ["x=-1+-2i"], ["ok"], {"numbers": "complex"}),
    (
        "solve",
        "x^2+2x+5=0",
        ["(x+1)^2=-4", "x+1=+-2i", "x=-1+-2i"],
        ["ok"] * 3,
        {"numbers": "complex"},
    ),
    ("solve", "0.2x+0.5=1.3", ["2x+5=13", "2x=8", "x=4"], ["ok"] * 3, {}),
    ("solve", "2 1/2*x=5", ["5/2*x=5", "x=2"], ["ok"] * 2, {}),
    ("solve", "x/2+x/3=5", ["3x+2x=30", "5x=30", "x=6"], ["ok"] * 3, {}),
    ("solve", "(x-1)/2=(x+3)/4", ["4(x-1)=2(x+3)", "4x-4=2x+6", "2x=10", "x=5"], ["ok"] * 4, {}),
    (
        "solve",
        "3/(x+1)=2/(x-1)",
        ["3(x-1)=2(x+1)", "3x-3=2x+2", "x=5"],
        ["may-add", "ok", "ok"],
        {},
    ),
    (
        "solve",
        "1/x+1/(x+1)=3/2",
        ["2(x+1)+2x=3x(x+1)", "4x+2=3x^2+3x", "0=3x^2-x-2", "0=(3x+2)(x-1)", "x=-2/3 or x=1"],
        ["may-add", "ok", "ok", "ok", "ok"],
        {},
    ),
    ("solve", "x+sqrt(x)=6", ["let u = sqrt(x)", "u^2+u-6=0"], ["ok", "unfinished"], {}),
    (
        "solve",
        "x+sqrt(x)=6",
        ["u=sqrt(x)", "u^2+u-6=0", "(u+3)(u-2)=0", "u=-3 or u=2", "u=2", "sqrt(x)=2", "x=4"],
        ["ok"] * 7,
        {},
    ),
    (
        "solve",
        "sqrt(x+5)+sqrt(x)=5",
        ["sqrt(x+5)=5-sqrt(x)", "x+5=25-10sqrt(x)+x", "10sqrt(x)=20", "sqrt(x)=2", "x=4"],
        ["ok", "may-add", "ok", "ok", "ok"],
        {},
    ),
    ("solve", "sqrt(x+5)+sqrt(x)=5", ["x+5+x=25", "2x=20", "x=10"], ["wrong", "ok", "ok"], {}),
    ("solve", "cbrt(2x-1)=3", ["2x-1=27", "2x=28", "x=14"], ["ok"] * 3, {}),
    ("solve", "(2x-1)^(1/3)=3", ["2x-1=27", "x=14"], ["ok"] * 2, {}),
    ("solve", "(x+1)^(2/3)=9", ["(x+1)^2=729", "x+1=+-27", "x=26 or x=-28"], ["ok"] * 3, {}),
    ("solve", "(x+1)^(2/3)=9", ["x+1=27", "x=26"], ["loses", "ok"], {}),
    ("solve", "(x-2)^4=81", ["x-2=+-3", "x=5 or x=-1"], ["ok"] * 2, {}),
    ("solve", "(x-2)^3=-8", ["x-2=-2", "x=0"], ["ok"] * 2, {}),
    ("solve", "5^(2x-1)=125", ["5^(2x-1)=5^3", "2x-1=3", "2x=4", "x=2"], ["ok"] * 4, {}),
    ("solve", "(1/2)^x=8", ["2^(-x)=2^3", "-x=3", "x=-3"], ["ok"] * 3, {}),
    ("solve", "8^x=4", ["(2^3)^x=2^2", "2^(3x)=2^2", "3x=2", "x=2/3"], ["ok"] * 4, {}),
    ("solve", "3^(x^2)=81", ["x^2=4", "x=+-2"], ["ok"] * 2, {}),
    ("solve", "3^(x^2)=81", ["x^2=4", "x=2"], ["ok", "loses"], {}),
    ("solve", "2^x=-4", ["no solution"], ["ok"], {}),
    ("solve", "2^x=0", ["x=0"], ["wrong"], {}),
    ("solve", "a*x+b=c", ["a*x=c-b", "x=(c-b)/a"], ["ok", "ok"], {"variable": "x"}),
    ("solve", "a*x+b=c", ["a*x=c+b", "x=(c+b)/a"], ["wrong", "ok"], {"variable": "x"}),
    ("solve", "P=2l+2w", ["P-2l=2w", "(P-2l)/2=w"], ["ok", "ok"], {"variable": "w"}),
    (
        "solve",
        "y=(x-1)/(x+2)",
        ["y(x+2)=x-1", "x*y+2y=x-1", "x*y-x=-1-2y", "x(y-1)=-1-2y", "x=(-1-2y)/(y-1)"],
        ["may-add", "ok", "ok", "ok", "ok"],
        {"variable": "x"},
    ),
    (
        "simplify",
        "((x+h)^2-x^2)/h",
        ["(x^2+2x*h+h^2-x^2)/h", "(2x*h+h^2)/h", "2x+h"],
        ["ok"] * 3,
        {},
    ),
    (
        "simplify",
        "(1/(x+h)-1/x)/h",
        ["(x-(x+h))/(h*x(x+h))", "-h/(h*x(x+h))", "-1/(x(x+h))"],
        ["ok"] * 3,
        {},
    ),
    (
        "simplify",
        "(sqrt(x+h)-sqrt(x))/h",
        ["((x+h)-x)/(h(sqrt(x+h)+sqrt(x)))", "1/(sqrt(x+h)+sqrt(x))"],
        ["ok"] * 2,
        {},
    ),
    ("simplify", "(sqrt(x+h)-sqrt(x))/h", ["sqrt(h)/h"], ["wrong"], {}),
    ("simplify", "(x^-2)^3*x^5", ["x^-6*x^5", "x^-1", "1/x"], ["ok"] * 3, {}),
    ("simplify", "(2x^3)^2/(4x^8)", ["4x^6/(4x^8)", "1/x^2"], ["ok"] * 2, {}),
    ("simplify", "(8x^6)^(2/3)", ["4x^4"], ["ok"], {}),
    ("simplify", "(16x^4)^(1/4)", ["2x"], ["wrong"], {}),
    ("simplify", "(16x^4)^(1/4)", ["2|x|"], ["ok"], {}),
    ("simplify", "(x^(1/2)*y^(2/3))^6", ["x^3*y^4"], ["ok"], {}),
    (
        "simplify",
        "sqrt(18x^3)+x*sqrt(8x)",
        ["3x*sqrt(2x)+2x*sqrt(2x)", "5x*sqrt(2x)"],
        ["ok"] * 2,
        {},
    ),
    ("simplify", "sqrt(12x^2*y)", ["2|x|sqrt(3y)"], ["ok"], {}),
    ("simplify", "sqrt(12x^2*y)", ["2x*sqrt(3y)"], ["wrong"], {}),
    (
        "simplify",
        "(2+sqrt(3))/(2-sqrt(3))",
        ["((2+sqrt(3))^2)/(4-3)", "7+4sqrt(3)"],
        ["ok"] * 2,
        {},
    ),
    ("simplify", "1/(sqrt(5)-sqrt(2))", ["(sqrt(5)+sqrt(2))/3"], ["ok"], {}),
    ("simplify", "cbrt(24)+cbrt(81)", ["2cbrt(3)+3cbrt(3)", "5cbrt(3)"], ["ok"] * 2, {}),
    ("simplify", "1/cbrt(2)", ["cbrt(4)/2"], ["ok"], {"form": ["rationalised"]}),
    ("simplify", "1/cbrt(2)", ["cbrt(4)/cbrt(8)"], ["unfinished"], {"form": ["rationalised"]}),
    ("simplify", "(3 km)/(2 h)*(4 h)", ["6 k*m"], ["ok"], {}),
    ("evaluate", "2 1/3+1 3/4", ["7/3+7/4", "28/12+21/12", "49/12", "4 1/12"], ["ok"] * 4, {}),
    ("evaluate", "0.1+0.2", ["0.3"], ["ok"], {}),
    ("evaluate", "1/3", ["0.33"], ["wrong"], {}),
    ("evaluate", "-3^2", ["9"], ["wrong"], {}),
    ("evaluate", "(-3)^2", ["9"], ["ok"], {}),
    ("evaluate", "2^3^2", ["2^9", "512"], ["ok", "ok"], {}),
    ("evaluate", "2^3^2", ["8^2", "64"], ["wrong", "ok"], {}),
    ("evaluate", "6/2*(1+2)", ["9"], ["ok"], {}),
    ("evaluate", "|3-8|", ["5"], ["ok"], {}),
    ("evaluate", "16^(-3/4)", ["1/8"], ["ok"], {}),
    ("factor", "x^3-8", ["(x-2)(x^2+2x+4)"], ["ok"], {}),
    ("factor", "x^3-8", ["(x-2)^3"], ["wrong"], {}),
    ("factor", "x^6-64", ["(x^3-8)(x^3+8)"], ["unfinished"], {}),
    ("factor", "x^6-64", ["(x-2)(x^2+2x+4)(x+2)(x^2-2x+4)"], ["ok"], {}),
    ("factor", "12x^2-75y^2", ["3(4x^2-25y^2)", "3(2x+5y)(2x-5y)"], ["ok", "ok"], {}),
    ("factor", "x^2+5x+7", ["prime"], ["ok"], {}),
    ("factor", "2x+4", ["2(x+2)"], ["ok"], {}),
    ("factor", "-x^2+4", ["-(x^2-4)", "-(x-2)(x+2)"], ["ok", "ok"], {}),
    ("factor", "x*y+2x+3y+6", ["x(y+2)+3(y+2)"], ["unfinished"], {}),
    ("factor", "(x+1)^2-9", ["(x+1-3)(x+1+3)", "(x-2)(x+4)"], ["ok", "ok"], {}),
    ("factor", "(x+1)^2-9", ["(x+1-3)(x+1+3)"], ["unfinished"], {}),
    ("expand", "(x+1)^3", ["x^3+3x^2+3x+1"], ["ok"], {}),
    ("expand", "(a+b+c)^2", ["a^2+b^2+c^2+2a*b+2b*c+2a*c"], ["ok"], {}),
    ("simplify", "x/(x-1)-1/(1-x)", ["x/(x-1)+1/(x-1)", "(x+1)/(x-1)"], ["ok", "ok"], {}),
    ("simplify", "(x^2-1)/(1-x)", ["-(x+1)"], ["ok"], {}),
    ("simplify", "(x-3)/(3-x)", ["1"], ["wrong"], {}),
    ("simplify", "(x-3)/(3-x)", ["-1"], ["ok"], {}),
    ("simplify", "(1+1/x)/(1-1/x^2)", ["(x^2+x)/(x^2-1)", "x/(x-1)"], ["ok", "ok"], {}),
    ("simplify", "(1+1/x)/(1-1/x^2)", ["(x^2+x)/(x^2-1)"], ["unfinished"], {}),
    ("simplify", "3(x+2)-2(x-1)", ["3x+6-2x+2", "x+8"], ["ok", "ok"], {}),
    ("solve", "|x|=-x", ["x<=0"], ["ok"], {}),
    ("solve", "sqrt(x^2)=-x", ["x<=0"], ["ok"], {}),
    ("solve", "sqrt((x-2)^2)=x-2", ["x>=2"], ["ok"], {}),
    ("solve", "|x-1|=|x+3|", ["x-1=x+3 or x-1=-(x+3)", "-1=3 or x=-1", "x=-1"], ["ok"] * 3, {}),
    ("solve", "x^2=x", ["x=1"], ["loses"], {}),
    ("solve", "x^2=x", ["x=0 or x=1"], ["ok"], {}),
    ("solve", "x(x-1)=0", ["x=0 or x-1=0", "x=0 or x=1"], ["ok"] * 2, {}),
    ("solve", "x^3-x=0", ["x(x^2-1)=0", "x(x-1)(x+1)=0", "x=0, x=1, x=-1"], ["ok"] * 3, {}),
    ("solve", "1/(x-1)=0", ["1=0", "no solution"], ["may-add", "ok"], {}),
    ("solve", "x/(x-1)=1/(x-1)", ["x=1"], ["wrong"], {}),
    ("solve", "x/(x-1)=1/(x-1)", ["x=1", "no solution"], ["may-add", "ok"], {}),
    ("solve", "2x^2+3x-2=0", ["a=2, b=3, c=2"], ["wrong"], {}),
    ("solve", "2x^2+3x=2", ["a=2, b=3, c=-2", "D=9-16"], ["ok", "wrong"], {}),
]


@pytest.mark.parametrize(("task", "given", "lines", "verdicts", "more"), PAPERS)
def test_verdicts_on_ordinary_school_work(
    task: str, given: str, lines: list[str], verdicts: list[str], more: dict[str, Any]
) -> None:
    record = {"task": task, "given": given, "lines": lines, "explains": False, **more}
    answer = check(problem_from(record))

    assert [line["verdict"] for line in answer["lines"]] == verdicts


def test_an_equals_sign_that_says_then_gets_a_note() -> None:
    for given, line in (("2x+1=7", "2x=6=x=3"), ("(3+4)*2", "3+4=7*2=14")):
        task = "solve" if "x" in given else "evaluate"
        answer = check(problem_from({"task": task, "given": given, "lines": [line]}))
        assert "then" in answer["lines"][0]["note"]
    answer = check(problem_from({"task": "solve", "given": "2x=6", "lines": ["x=6/2=3"]}))
    assert "note" not in answer["lines"][0]


def test_a_house_assumption_is_stated_on_the_line_that_needs_it() -> None:
    house = {"radicals": "non-negative"}
    record = {"task": "simplify", "given": "sqrt(50x^2)", "house": house}
    answer = check(problem_from({**record, "lines": ["sqrt(25*2x^2)", "5x*sqrt(2)"]}))

    assert "if" not in answer["lines"][0]
    assert answer["lines"][1]["if"] == ["x >= 0"]


def test_roots_that_go_or_come_change_the_domain_and_it_is_said() -> None:
    answer = check(
        problem_from({"task": "simplify", "given": "sqrt(x)*sqrt(x)", "lines": ["x", "sqrt(x)^2"]})
    )

    assert [line["if"] for line in answer["lines"]] == [["x >= 0"], ["x >= 0"]]


def test_a_candidate_that_fails_is_rejected_with_its_numbers() -> None:
    lines = ["x+6=x^2", "x=3 or x=-2", "x=3"]
    answer = check(problem_from({"task": "solve", "given": "sqrt(x+6)=x", "lines": lines}))

    assert answer["lines"][2]["says"] == "x = -2 fails in the given and is left out."
    found = {check["value"]: check for check in answer["checks"]}
    assert found["x = 3"]["holds"]
    assert (found["x = -2"]["left"], found["x = -2"]["right"]) == ("2", "-2")
    assert found["x = -2"]["says"] == "does not balance"


def test_an_excluded_candidate_is_rejected_because_it_divides_by_zero() -> None:
    record = {"task": "solve", "given": "x/(x-2)=2/(x-2)+3"}
    answer = check(problem_from({**record, "lines": ["x=2+3(x-2)", "x=2", "no solution"]}))

    (found,) = answer["checks"]
    assert (found["value"], found["says"]) == ("x = 2", "undefined: divides by zero")


def test_a_wrong_domain_says_at_which_value() -> None:
    record = {"task": "domain", "given": "(2y+6)/(y^2-9)", "lines": ["y != 3"]}
    answer = check(problem_from(record))

    assert (
        answer["lines"][0]["says"] == "At y = -3 the given has no value, but this line allows it."
    )
    assert not answer["answer"]["right"]
    right = check(problem_from({**record, "lines": ["y != 3, y != -3"]}))
    assert right["answer"]["right"]
